<?php

declare(strict_types=1);

namespace App\Queries\Records;

use App\Http\Data\Records\PartyBalanceData;
use App\Http\Data\Records\PartyPageData;
use App\Http\Data\Records\PartyRowData;
use App\Models\Office;
use App\Models\Party;

/** Reads the directory, as records are filed or by what they owe and are owed. */
final class ListParties
{
    private const PAGE = 100;

    /** Columns of the balances that the directory is sorted by. */
    private const SORTS = ['receivable' => 'receivable', 'payable' => 'payable', 'overdue' => 'overdue', 'days-to-pay' => 'days_to_pay'];

    /**
     * @param string $sort name, or one of SORTS
     * @param bool $isReversed the other way round: names from Z, amounts from the smallest
     */
    public function handle(int $page, bool $withArchived, string $sort = 'name', bool $isReversed = false): PartyPageData
    {
        $column = self::SORTS[$sort] ?? null;
        $parties = Party::query()->with([...PartyRowData::RELATIONS, 'balance'])
            ->when(! $withArchived, fn ($parties) => $parties->whereNull('archived_on'))
            // Only who has a balance has a place in that order.
            ->when($column !== null, fn ($parties) => $parties->join('balances', 'balances.party_id', '=', 'parties.id')->select('parties.*')
                ->whereRaw($column === 'days_to_pay' ? 'balances.days_to_pay is not null' : "balances.$column != 0")
                ->orderBy("balances.$column", $isReversed ? 'asc' : 'desc')->orderBy('parties.id'))
            ->when($column === null && $isReversed, fn ($parties) => $parties->orderByDesc('sort_key')->orderByDesc('id'))
            ->when($column === null && ! $isReversed, fn ($parties) => $parties->filed())
            ->paginate(self::PAGE, page: max(1, $page));
        $currency = Office::current()->currency();

        return new PartyPageData(
            $parties->total(),
            Party::query()->whereNotNull('archived_on')->count(),
            $parties->currentPage(),
            $parties->lastPage(),
            array_values(array_map(fn (Party $party) => PartyRowData::of($party), $parties->items())),
            array_values(array_filter(array_map(
                fn (Party $party) => $party->balance === null ? null : PartyBalanceData::of($party->balance, $currency),
                $parties->items(),
            ))),
            $currency,
        );
    }
}
