<?php

declare(strict_types=1);

namespace App\Queries\Records;

use App\Http\Data\Records\PartyPageData;
use App\Http\Data\Records\PartyRowData;
use App\Models\Party;

/** Reads the directory in the order in which records are filed. */
final class ListParties
{
    private const PAGE = 100;

    public function handle(int $page, bool $withArchived): PartyPageData
    {
        $parties = Party::query()->with(PartyRowData::RELATIONS)
            ->when(! $withArchived, fn ($parties) => $parties->whereNull('archived_on'))
            ->filed()->paginate(self::PAGE, page: max(1, $page));

        return new PartyPageData(
            $parties->total(),
            Party::query()->whereNotNull('archived_on')->count(),
            $parties->currentPage(),
            $parties->lastPage(),
            array_values(array_map(fn (Party $party) => PartyRowData::of($party), $parties->items())),
        );
    }
}
