<?php

declare(strict_types=1);

namespace App\Queries\Engagements;

use Almanac\Engagements\StageKind;
use Almanac\Money\Money;
use App\Facts\Engagements\EngagementFilter;
use App\Http\Data\Engagements\BandData;
use App\Http\Data\Engagements\EngagementPageData;
use App\Http\Data\Engagements\EngagementRowData;
use App\Http\Data\Engagements\StageData;
use App\Http\Data\Ledger\MoneyData;
use App\Models\Engagement;
use App\Models\EngagementParty;
use App\Models\EngagementStage;
use App\Models\Party;
use App\Models\Position;
use App\Time\Clock;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;

/** Reads cases and projects: a page of them with the band of their stages, or those of one record. */
final readonly class ListEngagements
{
    public const READS = ['kind', 'stage', 'owner', 'siteAddress', 'moves.stage', 'parties.party', 'parties.role'];

    private const PAGE = 50;

    private const MOST_OF_A_RECORD = 200;

    public function __construct(private Clock $clock)
    {
    }

    /**
     * @param  array{
     *     kindId?: int|null, stageId?: int|null, state?: string|null, roleId?: int|null, partyId?: int|null, ownerId?: int|null,
     *     from?: string|null, to?: string|null, q?: string|null,
     * }  $wanted
     * @param 'number'|'title'|'stage'|'days'|'agreed' $sort
     */
    public function handle(array $wanted, int $page, string $sort, bool $isReversed): EngagementPageData
    {
        $today = $this->clock->today();
        $filter = new EngagementFilter($wanted);
        $listed = Engagement::query()->tap($filter->all(...));
        $total = $listed->clone()->count();
        $pages = max(1, (int) ceil($total / self::PAGE));
        $page = min(max(1, $page), $pages);
        $this->order($listed, $sort, $isReversed);
        $rows = $listed->with(self::READS)->forPage($page, self::PAGE)->get();

        return new EngagementPageData(
            $total,
            $page,
            $pages,
            array_values($rows->map(fn (Engagement $one) => EngagementRowData::of($one, $today, $wanted['partyId'] ?? null))->all()),
            $this->band($filter),
        );
    }

    /**
     * All that a record was ever part of: the live ones first, the newest first. Of a company, those of its people too.
     *
     * @return list<EngagementRowData>
     */
    public function ofRecord(Party $party): array
    {
        $today = $this->clock->today();
        $people = $party->isPerson() ? [] : Position::query()->where('company_id', $party->id)->pluck('person_id')->all();
        $rows = Engagement::query()->with(self::READS)
            ->whereNull('archived_on')
            ->whereIn('id', EngagementParty::query()->select('engagement_id')
                ->where('party_id', $party->id)->orWhere('via_id', $party->id)->orWhere('contact_id', $party->id)
                ->orWhereIn('party_id', $people))
            ->orderBy('is_closed')->orderByDesc('begun_on')->orderByDesc('id')
            ->limit(self::MOST_OF_A_RECORD)
            ->get();

        return array_values($rows->map(fn (Engagement $one) => EngagementRowData::of($one, $today, $party->id))->all());
    }

    /** @return list<BandData> every stage in use of the kinds that are listed, the empty ones too */
    private function band(EngagementFilter $filter): array
    {
        $sums = Engagement::query()->tap($filter->butForTheStage(...))->toBase()
            ->groupBy('stage_id', 'currency')
            ->selectRaw('stage_id, currency, count(*) as many, sum(agreed_minor) as agreed, sum(weighed_minor) as weighed')
            ->get()
            ->groupBy('stage_id');
        $stages = EngagementStage::query()->findMany($sums->keys())->pluck('kind_id')->unique();

        return array_values(EngagementStage::query()->with('kind')->whereIn('kind_id', $stages)
            ->get()
            ->filter(fn (EngagementStage $stage) => $sums->has($stage->id) || (! $stage->is_retired && $filter->mayStandIn($stage->meaning)))
            ->sortBy(fn (EngagementStage $stage) => [$stage->kind->rank, $stage->rank])
            ->map(fn (EngagementStage $stage) => $this->ofStage($stage, $sums->get($stage->id) ?? new Collection))
            ->all());
    }

    /** @param  Collection<int, \stdClass>  $sums */
    private function ofStage(EngagementStage $stage, Collection $sums): BandData
    {
        $column = $stage->meaning === StageKind::Enquiry ? 'weighed' : 'agreed';
        $amounts = $sums->filter(fn (\stdClass $row) => (int) $row->{$column} !== 0)
            ->map(fn (\stdClass $row) => MoneyData::of(Money::ofMinor((int) $row->{$column}, (string) $row->currency)));

        return new BandData(StageData::of($stage), $stage->kind->plural, (int) $sums->sum('many'), array_values($amounts->all()));
    }

    /** @param  Builder<Engagement>  $listed */
    private function order(Builder $listed, string $sort, bool $isReversed): void
    {
        [$way, $back] = $isReversed ? ['desc', 'asc'] : ['asc', 'desc'];
        match ($sort) {
            'title' => $listed->orderByRaw("fold(title) $way"),
            'stage' => $listed->orderBy(EngagementStage::query()->select('rank')->whereColumn('engagement_stages.id', 'stage_id'), $way),
            // Whatever has stood longest first.
            'days' => $listed->orderBy('is_closed')->orderBy('moved_on', $way),
            'agreed' => $listed->orderByRaw('agreed_minor is null')->orderBy('agreed_minor', $back),
            default => $listed->orderBy('begun_on', $back)->orderBy('number', $back),
        };
        $listed->orderBy('engagements.id', $back);
    }
}
