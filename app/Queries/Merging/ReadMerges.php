<?php

declare(strict_types=1);

namespace App\Queries\Merging;

use Almanac\Merging\MergeState;
use Almanac\Money\Money;
use Almanac\Terms\Side;
use App\Http\Data\Merging\MergeData;
use App\Http\Data\Merging\MergeFigureData;
use App\Models\Engagement;
use App\Models\FormerRecord;
use App\Models\Merge;
use App\Models\Party;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Query\Builder as Rows;
use Illuminate\Support\Facades\DB;

/** Reads what was made one, what somebody proposes, and what hangs on records that are to become one. */
final class ReadMerges
{
    /** What comes along by number, by table: the column, and what it is called. */
    private const CARRIED = [
        'documents' => ['party_id', 'Documents'], 'payments' => ['party_id', 'Payments'],
        'engagement_parties' => ['party_id', 'Cases and projects'], 'log_entries' => ['subject_id', 'Log entries'],
        'files' => ['subject_id', 'Files'], 'reminders' => ['subject_id', 'Reminders'], 'cautions' => ['subject_id', 'Cautions'],
        'meetings' => ['subject_id', 'Meetings'], 'messages' => ['party_id', 'Messages'], 'cards' => ['party_id', 'Cards'],
    ];

    /** @return list<MergeData> the newest first */
    public function proposed(): array
    {
        // What has gone since is proposed no more.
        return $this->data(Merge::query()->where('state', MergeState::Proposed)
            ->whereDoesntHave('sides', fn (Builder $sides) => $sides->whereNotIn('party_id', Party::query()->select('id')))
            ->latest('id')->limit(200));
    }

    /** @return list<MergeData> those by which a record became what it is, the newest first */
    public function ofRecord(Party $party): array
    {
        return $this->data(Merge::query()->where('state', MergeState::Done)->where('kept_id', $party->id)->latest('id'));
    }

    /** The number of the record that a former one was made one with; null where it was not. */
    public function keptOf(int $partyId): ?int
    {
        return FormerRecord::query()->find($partyId)?->kept_id;
    }

    public function one(Merge $merge): MergeData
    {
        return MergeData::of($merge->load(MergeData::RELATIONS));
    }

    /**
     * @param list<int> $ids
     *
     * @return list<MergeFigureData> what is owed on each side in each currency; none where nothing is
     */
    public function standing(array $ids): array
    {
        $rows = DB::table('standings')->whereIntegerInRaw('party_id', $ids)
            ->selectRaw('party_id, side, currency, open_minor - credits_minor - unallocated_minor as minor')->get();
        $figures = [];
        foreach (Side::cases() as $side) {
            foreach ($rows->where('side', $side->value)->groupBy('currency') as $currency => $of) {
                $minor = $of->pluck('minor', 'party_id')->map(fn (mixed $one) => is_numeric($one) ? (int) $one : 0);
                if ($minor->contains(fn (int $one) => $one !== 0)) {
                    $text = fn (int $one) => Money::ofMinor($one, (string) $currency)->toText();
                    $figures[] = new MergeFigureData(
                        ucfirst($side->balance()).($rows->pluck('currency')->unique()->count() > 1 ? ", $currency" : ''),
                        array_map(fn (int $id) => isset($minor[$id]) ? $text($minor[$id]) : '', $ids),
                        $text((int) $minor->sum()),
                    );
                }
            }
        }

        return $figures;
    }

    /**
     * @param list<int> $ids
     *
     * @return list<MergeFigureData> how much comes along; none of what nobody has
     */
    public function carried(array $ids): array
    {
        $figures = [];
        foreach (self::CARRIED as $table => [$column, $title]) {
            $counts = DB::table($table)->whereIntegerInRaw($column, $ids)
                // Of cases only those that whoever asks may see.
                ->when(
                    $table === 'engagement_parties',
                    fn (Rows $rows) => $rows->whereIn('engagement_id', Engagement::query()->select('id')),
                )
                ->groupBy($column)->selectRaw("$column as id, count(*) as many")->pluck('many', 'id');
            if ($counts->isNotEmpty()) {
                $figures[] = new MergeFigureData(
                    $title,
                    array_map(fn (int $id) => isset($counts[$id]) ? (string) $counts[$id] : '', $ids),
                    (string) $counts->sum(),
                );
            }
        }

        return $figures;
    }

    /**
     * @param Builder<Merge> $merges
     *
     * @return list<MergeData>
     */
    private function data(Builder $merges): array
    {
        return array_values($merges->with(MergeData::RELATIONS)->get()->map(fn (Merge $merge) => MergeData::of($merge))->all());
    }
}
