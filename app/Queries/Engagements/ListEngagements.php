<?php

declare(strict_types=1);

namespace App\Queries\Engagements;

use Almanac\Engagements\StageKind;
use Almanac\Money\Money;
use App\Database\Ids;
use App\Facts\Engagements\EngagementFilter;
use App\Http\Data\Engagements\BandData;
use App\Http\Data\Engagements\EngagementPageData;
use App\Http\Data\Engagements\EngagementRowData;
use App\Http\Data\Engagements\StageData;
use App\Http\Data\Ledger\MoneyData;
use App\Models\Engagement;
use App\Models\EngagementStage;
use App\Models\Party;
use App\Models\Position;
use App\Time\Clock;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Collection;

/** Reads cases and projects: a page of them with the band of their stages, or those of one record. */
final readonly class ListEngagements
{
    /** What a line is read from; of the parties only whom it is for, and whoever was asked about. */
    private const READS = ['kind', 'stage', 'owner', 'siteAddress', 'parties.role'];

    private const PAGE = 50;

    private const MOST_OF_A_RECORD = 200;

    private const MOST_FOUND = 5;

    private const LEAST_TYPED = 2;

    private const DAYS_SOON = 7;

    private const MOST_TODAY = 20;

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
        $filter = new EngagementFilter($wanted);
        $listed = Engagement::query()->tap($filter->all(...));
        $sums = $this->sums($filter);
        $stageId = $wanted['stageId'] ?? null;
        $total = (int) ($stageId === null ? $sums->flatten(1) : $sums->get($stageId) ?? new Collection)->sum('many');
        $pages = max(1, (int) ceil($total / self::PAGE));
        $page = min(max(1, $page), $pages);
        $this->order($listed, $sort, $isReversed);

        return new EngagementPageData(
            $total,
            $page,
            $pages,
            $this->rows($listed->forPage($page, self::PAGE), $wanted['partyId'] ?? null),
            $this->band($filter, $sums),
        );
    }

    /**
     * All that a record was ever part of: the live ones first, the newest first. Of a company, those of its people too.
     *
     * @return list<EngagementRowData>
     */
    public function ofRecord(Party $party): array
    {
        $people = $party->isPerson() ? [] : Ids::of(Position::query()->where('company_id', $party->id)->pluck('person_id'));

        return $this->rows(
            Engagement::query()
                ->whereNull('archived_on')
                ->whereIn('id', EngagementFilter::concerning($party->id, peopleIds: $people))
                ->orderBy('is_closed')->orderByDesc('begun_on')->orderByDesc('id')
                ->limit(self::MOST_OF_A_RECORD),
            $party->id,
        );
    }

    /**
     * Those that have all of the words; the live ones first, the newest first.
     *
     * @return list<EngagementRowData>
     */
    public function found(string $typed): array
    {
        if (mb_strlen(trim($typed)) < self::LEAST_TYPED) {
            return [];
        }

        return $this->rows(
            Engagement::query()->whereNull('archived_on')->tap(fn (Builder $all) => EngagementFilter::found($all, $typed))
                ->orderBy('is_closed')->orderByDesc('begun_on')->orderByDesc('id')->limit(self::MOST_FOUND),
        );
    }

    /** @return list<EngagementRowData> enquiries that are to be decided within a week, or were */
    public function toBeDecided(): array
    {
        return $this->rows(
            $this->going()
                ->whereIn('stage_id', EngagementStage::enquiries())
                ->where('decided_on', '<=', $this->clock->today()->plusDays(self::DAYS_SOON)->toIso())
                ->orderBy('decided_on')->limit(self::MOST_TODAY),
        );
    }

    /** @return list<EngagementRowData> those that have stood in their stage for longer than the firm wants, the longest first */
    public function standingTooLong(): array
    {
        // The core says which; the database leaves out those that it cannot be.
        $rows = $this->rows(
            $this->going()
                ->whereIn('stage_id', EngagementStage::query()->select('id')->whereNotNull('most_days')
                    ->whereRaw('julianday(?) - julianday(engagements.moved_on) > most_days', [$this->clock->today()->toIso()]))
                ->orderBy('moved_on')->limit(self::MOST_TODAY),
        );

        return array_values(array_filter($rows, fn (EngagementRowData $row) => $row->standsTooLong));
    }

    /** @return list<MoneyData> what all enquiries come to by their chances, by currency */
    public function weighed(): array
    {
        return array_values($this->going()
            ->whereIn('stage_id', EngagementStage::enquiries())
            ->toBase()->whereNotNull('weighed_minor')->groupBy('currency')->orderBy('currency')
            ->selectRaw('currency, sum(weighed_minor) as weighed')->get()
            ->map(fn (\stdClass $row) => MoneyData::of(Money::ofMinor((int) $row->weighed, (string) $row->currency)))->all());
    }

    /** @return Builder<Engagement> */
    private function going(): Builder
    {
        return Engagement::query()->whereRaw(Engagement::IS_GOING);
    }

    /**
     * @param Builder<Engagement> $some
     *
     * @return list<EngagementRowData>
     */
    private function rows(Builder $some, ?int $partyId = null): array
    {
        $today = $this->clock->today();
        $parties = fn (HasMany $rows) => $rows->whereRaw(
            '(role_id in (select id from engagement_roles where is_client = 1) or party_id = ? or via_id = ?)',
            [$partyId ?? 0, $partyId ?? 0],
        );
        $rows = $some->with(['parties' => $parties, 'parties.party:id,display_name', ...self::READS])->get();

        return array_values($rows->map(fn (Engagement $one) => EngagementRowData::of($one, $today, $partyId))->all());
    }

    /** @return Collection<array-key, Collection<int, \stdClass>> how many and how much, by stage, of every stage */
    private function sums(EngagementFilter $filter): Collection
    {
        return Engagement::query()->tap($filter->butForTheStage(...))->toBase()
            ->groupBy('stage_id', 'currency')
            ->selectRaw('stage_id, currency, count(*) as many, sum(agreed_minor) as agreed, sum(weighed_minor) as weighed')
            ->get()
            ->groupBy('stage_id');
    }

    /**
     * @param Collection<array-key, Collection<int, \stdClass>> $sums
     *
     * @return list<BandData> every stage in use of the kinds that are listed, the empty ones too
     */
    private function band(EngagementFilter $filter, Collection $sums): array
    {
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
