<?php

declare(strict_types=1);

namespace App\Queries\LookAlikes;

use Almanac\Calendar\Day;
use Almanac\LookAlikes\LineKind;
use App\Facts\LookAlikes\SharedThing;
use App\Http\Data\LookAlikes\LineHolderData;
use App\Http\Data\LookAlikes\SharedLineData;
use App\Models\Office;
use App\Models\Party;
use App\Models\SharedLine;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/** Reads the phones, emails and addresses that different people share, and who stands behind each: who was spoken to last first. */
final class ReadSharedLines
{
    private const MOST = 200;

    private const HOLDERS = 12;

    /** @return list<SharedLineData> those that have a name, by it */
    public function all(): array
    {
        $lines = SharedLine::query()->with('user')->orderBy('name')->limit(self::MOST)->get();
        $things = self::things(array_values($lines->pluck('value')->all()));

        return array_values(
            $lines->filter(fn (SharedLine $line) => isset($things[$line->value]))
                ->map(fn (SharedLine $line) => $this->named($line, $things[$line->value]))->all(),
        );
    }

    public function one(SharedLine $line): ?SharedLineData
    {
        $things = self::things([$line->value])[$line->value] ?? null;

        return $things === null ? null : $this->named($line->load('user'), $things);
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
        $values = SharedThing::amongAny($ids);
        $lines = SharedLine::query()->with('user')->whereIn('value', $values)->get()->keyBy('value');
        $shared = [];
        foreach (self::things($values) as $value => $things) {
            $line = $lines->get($value);
            $shared[] = $line instanceof SharedLine
                ? $this->named($line, $things)
                : SharedLineData::unnamed($things[0], $this->proposed($things), $this->holders($things));
        }

        return $shared;
    }

    /** @param  non-empty-list<SharedThing>  $things */
    private function named(SharedLine $line, array $things): SharedLineData
    {
        return SharedLineData::of($line, $things[0], $this->holders($things));
    }

    /**
     * @param list<string> $values
     *
     * @return array<string, non-empty-list<SharedThing>>
     */
    private static function things(array $values): array
    {
        return SharedThing::of($values, Office::current()->country);
    }

    /**
     * @param list<SharedThing> $things
     *
     * @return list<LineHolderData>
     */
    private function holders(array $things): array
    {
        $parties = (new Collection(array_map(fn (SharedThing $thing) => $thing->party, $things)))->unique('id');
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
     * @param non-empty-list<SharedThing> $things
     */
    private function proposed(array $things): string
    {
        $families = array_unique(array_map(fn (SharedThing $thing) => $thing->party->family, $things));

        return count($families) === 1 && $families[0] !== ''
            ? "$families[0] household"
            : ($things[0]->kind === LineKind::Address ? 'House of several' : 'Front desk');
    }
}
