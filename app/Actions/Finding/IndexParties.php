<?php

declare(strict_types=1);

namespace App\Actions\Finding;

use Almanac\Calendar\Day;
use Almanac\Finding\Fold;
use Almanac\Finding\MatchField;
use Almanac\Readiness\Readiness;
use App\Models\Address;
use App\Models\AddressUse;
use App\Models\Party;
use App\Models\Position;
use App\Queries\Finding\SearchValues;
use App\Queries\LookAlikes\PartyLikeness;
use App\Queries\Readiness\RecordFacts;
use App\Support\Clock;
use Illuminate\Support\Facades\DB;

/** Keeps what is looked up over all records in step with them: search, look-alikes, gaps. Runs inside the transaction of the change. */
final readonly class IndexParties
{
    private const CHUNK = 500;

    public function __construct(private Clock $clock)
    {
    }

    /**
     * The party itself, and the records that are found through it: its people, and who shares its addresses.
     *
     * @param array<int> $formerly records that were found through it before the change
     */
    public function withNeighbours(Party $party, array $formerly = []): void
    {
        $people = Position::query()->where('company_id', $party->id)->pluck('person_id');
        $sharing = AddressUse::query()
            ->whereIn('address_id', Address::query()->select('id')->where('owner_id', $party->id))
            ->pluck('party_id');
        $this->refresh(array_values($people->merge($sharing)->merge($formerly)->push($party->id)->unique()->all()));
    }

    /** @param  array<int>  $ids */
    public function these(array $ids): void
    {
        foreach (array_chunk($ids, self::CHUNK) as $chunk) {
            $this->refresh($chunk);
        }
    }

    /**
     * Only how much they lack: for what changes nothing by which they are found.
     *
     * @param array<int> $ids
     */
    public function gaps(array $ids): void
    {
        $today = $this->clock->today();
        foreach (array_chunk($ids, self::CHUNK) as $chunk) {
            foreach (Party::query()->with(RecordFacts::RELATIONS)->findMany($chunk) as $party) {
                DB::table('record_gaps')->updateOrInsert(['party_id' => $party->id], ['gaps' => $this->countGaps($party, $today)]);
            }
        }
    }

    public function everything(): void
    {
        Party::query()->select('id')->chunkById(self::CHUNK, function ($parties): void {
            DB::transaction(fn () => $this->refresh($parties->pluck('id')->all()));
        });
    }

    public function forget(int ...$ids): void
    {
        DB::table('search_words')->whereIn('rowid', $ids)->delete();
        DB::table('search_letters')->whereIn('rowid', $ids)->delete();
        DB::table('look_alike_keys')->whereIn('party_id', $ids)->delete();
        DB::table('record_gaps')->whereIn('party_id', $ids)->delete();
    }

    /** @param  array<int>  $ids */
    private function refresh(array $ids): void
    {
        $this->forget(...$ids);
        $today = $this->clock->today();
        foreach (Party::query()->with([...SearchValues::RELATIONS, ...RecordFacts::RELATIONS])->findMany($ids) as $party) {
            $this->insert($party);
            DB::table('record_gaps')->insert(['party_id' => $party->id, 'gaps' => $this->countGaps($party, $today)]);
        }
    }

    private function countGaps(Party $party, Day $today): int
    {
        return array_sum(array_map(fn (Readiness $readiness) => count($readiness->gaps()), Readiness::of(RecordFacts::of($party, $today))));
    }

    private function insert(Party $party): void
    {
        $columns = array_fill_keys(array_map($this->column(...), MatchField::cases()), '');
        $figures = [];
        foreach (SearchValues::of($party) as [$field, $value]) {
            $columns[$this->column($field)] .= ' '.Fold::text($value);
            if ($field === MatchField::Phone || $field === MatchField::Code) {
                $figures[] = Fold::digits($value);
            }
        }
        DB::table('search_words')->insert(['rowid' => $party->id] + $columns);
        DB::table('search_letters')->insert([
            'rowid' => $party->id,
            'name' => trim($columns['name'].' '.$columns['also'].' '.$columns['email']),
            'figures' => implode(' ', array_unique($figures)),
        ]);
        DB::table('look_alike_keys')->insert(array_map(
            fn (string $key) => ['party_id' => $party->id, 'key' => $key],
            PartyLikeness::of($party)->keys(),
        ));
    }

    private function column(MatchField $field): string
    {
        return match ($field) {
            MatchField::Name => 'name',
            MatchField::AlsoKnownAs, MatchField::Tag, MatchField::Detail, MatchField::File => 'also',
            MatchField::Code => 'number',
            MatchField::WorksAt => 'works_at',
            MatchField::Email => 'email',
            MatchField::Phone => 'phone',
            MatchField::Place => 'place',
        };
    }
}
