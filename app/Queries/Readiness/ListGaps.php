<?php

declare(strict_types=1);

namespace App\Queries\Readiness;

use Almanac\Readiness\Readiness;
use App\Facts\Lists\SearchedFields;
use App\Facts\Readiness\RecordFacts;
use App\Http\Data\Readiness\GapPageData;
use App\Http\Data\Readiness\GapRowData;
use App\Models\Party;
use App\Time\Clock;

/**
 * Reads the worklist of gaps: where most money is at stake first, then the records that lack most, among them the
 * ones untouched longest.
 */
final readonly class ListGaps
{
    private const PAGE = 25;

    public function __construct(private Clock $clock)
    {
    }

    /** @param  int|null  $ownerId only the records that this colleague looks after, as their own or as at the company */
    public function handle(int $page, ?int $ownerId = null): GapPageData
    {
        $today = $this->clock->today();
        $parties = Party::query()
            ->join('record_gaps', 'record_gaps.party_id', '=', 'parties.id')
            ->select('parties.*')
            ->whereNull('archived_on')
            ->when($ownerId !== null, fn ($parties) => $parties->where('record_gaps.owner_id', $ownerId))
            ->where('record_gaps.gaps', '>', 0)
            ->leftJoin('balances', 'balances.party_id', '=', 'parties.id')
            ->orderByRaw('coalesce(balances.receivable_minor, 0) + coalesce(balances.payable_minor, 0) desc')
            ->orderByDesc('record_gaps.gaps')->orderBy('parties.updated_at')->orderBy('parties.id')
            ->with([...SearchedFields::READS, ...RecordFacts::RELATIONS])
            ->paginate(self::PAGE, page: max(1, $page));

        return new GapPageData(
            $parties->total(),
            $parties->currentPage(),
            $parties->lastPage(),
            array_values(array_map(
                fn (Party $party) => GapRowData::of($party, Readiness::of(RecordFacts::of($party, $today)), $today),
                $parties->items(),
            )),
        );
    }
}
