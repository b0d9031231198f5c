<?php

declare(strict_types=1);

namespace App\Facts\Records;

use Almanac\Calendar\Day;
use Almanac\Records\Period;
use App\Models\AddressUse;
use App\Models\Party;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** Who else uses the addresses of a party, now or later, while it does. */
final readonly class SharedAddresses
{
    /** Of those who share an address: the rest are counted. */
    private const NAMED = 12;

    /**
     * @param array<int, list<int>> $others numbers of parties, by the number of the use
     * @param Collection<int, Party> $named by number
     */
    private function __construct(private array $others, private Collection $named)
    {
    }

    /** Hundreds may share an address: they are read as rows, and only those who are named become records. */
    public static function of(Party $party, Day $today): self
    {
        $rows = DB::table('address_uses')
            ->whereIn('address_id', $party->addressUses->pluck('address_id')->unique())
            ->where('party_id', '!=', $party->id)
            ->where(fn ($still) => $still->whereNull('until')->orWhere('until', '>=', $today->toIso()))
            ->orderBy('id')
            ->get(['address_id', 'party_id', 'since', 'until'])
            ->groupBy('address_id');
        $others = [];
        foreach ($party->addressUses as $use) {
            $others[$use->id] = [];
            foreach ($rows->get($use->address_id, []) as $row) {
                if (self::period($row)->overlaps($use->period())) {
                    $others[$use->id][] = (int) $row->party_id;
                }
            }
        }
        $named = array_unique(array_merge(...array_map(fn (array $ids) => array_slice($ids, 0, self::NAMED), array_values($others))));

        return new self($others, Party::query()->findMany($named)->keyBy('id'));
    }

    /** @return list<Party> the first of them */
    public function named(AddressUse $use): array
    {
        return array_values(array_filter(array_map(
            fn (int $id) => $this->named->get($id),
            array_slice($this->others[$use->id], 0, self::NAMED),
        )));
    }

    /** How many more there are. */
    public function more(AddressUse $use): int
    {
        return max(0, count($this->others[$use->id]) - self::NAMED);
    }

    private static function period(\stdClass $row): Period
    {
        $day = fn (mixed $iso) => is_string($iso) ? Day::fromIso($iso) : null;

        return Period::of($day($row->since), $day($row->until));
    }
}
