<?php

declare(strict_types=1);

namespace App\Queries\LookAlikes;

use Almanac\Calendar\Day;
use Almanac\Reach\ContactKind;
use App\Http\Data\LookAlikes\LineHolderData;
use App\Http\Data\LookAlikes\SharedLineData;
use App\Models\ContactPoint;
use App\Models\Office;
use App\Models\Party;
use App\Models\SharedLine;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/** Reads the phones and emails that different people share, and who stands behind each: who was spoken to last first. */
final class ReadSharedLines
{
    private const MOST = 200;

    private const HOLDERS = 12;

    /** @return list<SharedLineData> those that have a name, by it */
    public function all(): array
    {
        $lines = SharedLine::query()->with('user')->orderBy('name')->limit(self::MOST)->get();
        $points = $this->points(array_values($lines->pluck('value')->all()));

        return array_values($lines->filter(fn (SharedLine $line) => isset($points[$line->value]))->map(fn (SharedLine $line) => $this->named($line, $points[$line->value]))->all());
    }

    public function one(SharedLine $line): ?SharedLineData
    {
        $points = $this->points([$line->value])[$line->value] ?? null;

        return $points === null ? null : $this->named($line->load('user'), $points);
    }

    /**
     * What several of these records have.
     *
     * @param list<int> $ids
     *
     * @return list<SharedLineData>
     */
    public function among(array $ids): array
    {
        $values = ContactPoint::query()->whereIntegerInRaw('party_id', $ids)->whereIn('kind', [ContactKind::Phone, ContactKind::Email])
            ->groupBy('value')->havingRaw('count(distinct party_id) > 1')->orderBy('value')->pluck('value')->map(strval(...))->values()->all();
        $lines = SharedLine::query()->with('user')->whereIn('value', $values)->get()->keyBy('value');
        $shared = [];
        foreach ($this->points(array_values($values)) as $value => $points) {
            $line = $lines->get($value);
            $shared[] = $line instanceof SharedLine
                ? $this->named($line, $points)
                : SharedLineData::unnamed($points[0], Office::current()->country, $this->proposed($points), $this->holders($points));
        }

        return $shared;
    }

    /** @param  non-empty-list<ContactPoint>  $points */
    private function named(SharedLine $line, array $points): SharedLineData
    {
        return SharedLineData::of($line, $points[0], Office::current()->country, $this->holders($points));
    }

    /**
     * @param list<string> $values
     *
     * @return array<string, non-empty-list<ContactPoint>>
     */
    private function points(array $values): array
    {
        $points = [];
        foreach (ContactPoint::query()->with('party')->whereIn('value', $values)->orderBy('party_id')->get() as $point) {
            $points[$point->value][] = $point;
        }

        return $points;
    }

    /**
     * @param list<ContactPoint> $points
     *
     * @return list<LineHolderData>
     */
    private function holders(array $points): array
    {
        $parties = (new Collection(array_map(fn (ContactPoint $point) => $point->party, $points)))->unique('id');
        $spoken = DB::table('log_entries')->whereIntegerInRaw('subject_id', $parties->modelKeys())->groupBy('subject_id')
            ->selectRaw('subject_id, max(happened_on) as day')->pluck('day', 'subject_id');

        return array_values($parties->sortBy([
            fn (Party $a, Party $b) => ($spoken[$b->id] ?? '') <=> ($spoken[$a->id] ?? ''),
            fn (Party $a, Party $b) => $a->sort_key <=> $b->sort_key,
        ])->take(self::HOLDERS)->map(fn (Party $party) => new LineHolderData(
            $party->id,
            $party->display_name,
            isset($spoken[$party->id]) ? Day::fromIso(substr((string) $spoken[$party->id], 0, 10))->toText() : '',
        ))->all());
    }

    /**
     * A household where all have one family name, else a front desk.
     *
     * @param non-empty-list<ContactPoint> $points
     */
    private function proposed(array $points): string
    {
        $families = array_unique(array_map(fn (ContactPoint $point) => $point->party->family, $points));

        return count($families) === 1 && $families[0] !== '' ? "$families[0] household" : 'Front desk';
    }
}
