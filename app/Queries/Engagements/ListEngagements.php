<?php

declare(strict_types=1);

namespace App\Queries\Engagements;

use Almanac\Engagements\StageKind;
use Almanac\Lists\ListOf;
use Almanac\Money\Money;
use App\Database\Ids;
use App\Facts\Engagements\EngagementFilter;
use App\Facts\Lists\EngagementRegister;
use App\Facts\Lists\ListedField;
use App\Facts\Lists\Narrowed;
use App\Facts\Lists\Wanted;
use App\Http\Data\Engagements\BandData;
use App\Http\Data\Engagements\EngagementPageData;
use App\Http\Data\Engagements\EngagementRowData;
use App\Http\Data\Engagements\StageData;
use App\Http\Data\Ledger\MoneyData;
use App\Http\Data\Lists\ListFilterData;
use App\Http\Data\Lists\SortData;
use App\Http\Data\Records\ColumnData;
use App\Models\Engagement;
use App\Models\EngagementStage;
use App\Models\Office;
use App\Models\Party;
use App\Models\Position;
use App\Models\User;
use App\Queries\Lists\Cells;
use App\Queries\Lists\ReadLook;
use App\Time\Clock;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection as Models;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Collection;

/** Reads cases and projects: a page of them with the band of their stages, or those of one record. */
final readonly class ListEngagements
{
    /** What a line is read from; of the parties only whom it is for, and whoever was asked about. */
    private const READS = ['kind', 'stage', 'owner', 'siteAddress', 'parties.role'];

    /** Columns for which all of the parties are read. */
    private const OF_ALL_PARTIES = ['party', 'role'];

    private const PAGE = 50;

    private const MOST_OF_A_RECORD = 200;

    private const LOOKED_AT = 400;

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
     * @param Wanted $asked what a sentence narrows it by, its columns and its order
     */
    public function handle(array $wanted, Wanted $asked, User $reader): EngagementPageData
    {
        $narrowed = new Narrowed(new EngagementRegister, $asked, $this->clock, $reader);
        $filter = new EngagementFilter($wanted, $narrowed->isEmpty() ? null : $narrowed->asked());
        $listed = Engagement::query()->tap($filter->all(...));
        $sums = $this->sums($filter);
        $stageId = $wanted['stageId'] ?? null;
        $total = (int) ($stageId === null ? $sums->flatten(1) : $sums->get($stageId) ?? new Collection)->sum('many');
        $pages = max(1, (int) ceil($total / self::PAGE));
        $page = min($asked->page, $pages);
        $this->order($listed, $narrowed, $asked);
        $look = ReadLook::of(ListOf::Engagements, $reader);
        $columns = $narrowed->columns(array_keys($look));
        $today = $this->clock->today();
        $isOfAll = array_filter($columns, fn (ListedField $one) => in_array($one->field->key, self::OF_ALL_PARTIES, true)) !== [];
        $models = $this->models($listed->forPage($page, self::PAGE), $wanted['partyId'] ?? null, $isOfAll);

        return new EngagementPageData(
            $total,
            $page,
            $pages,
            $this->told($models, $wanted['partyId'] ?? null),
            $this->band($filter, $sums),
            Cells::of($columns, $models, $today),
            Office::current()->currency(),
            array_map(fn (ListedField $one) => ColumnData::of($one, $look[$one->field->key] ?? null), $columns),
            array_map(fn (array $one) => SortData::of($one[0]->field, $one[1]), $narrowed->sort()),
            ListFilterData::of($narrowed->reading, $narrowed->words),
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
     * Those that have all of the words; the live ones first, the newest first. While a letter or two are in hundreds,
     * the latest are looked at.
     *
     * @return list<EngagementRowData>
     */
    public function found(string $typed): array
    {
        if (mb_strlen(trim($typed)) < self::LEAST_TYPED) {
            return [];
        }

        return $this->rows(
            Engagement::query()->whereNull('archived_on')->tap(fn (Builder $all) => EngagementFilter::found($all, $typed, self::LOOKED_AT))
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
        return $this->told($this->models($some, $partyId), $partyId);
    }

    /**
     * @param Models<int, Engagement> $models
     *
     * @return list<EngagementRowData>
     */
    private function told(Models $models, ?int $partyId): array
    {
        $today = $this->clock->today();

        return array_values($models->map(fn (Engagement $one) => EngagementRowData::of($one, $today, $partyId))->all());
    }

    /**
     * @param Builder<Engagement> $some
     *
     * @return Models<int, Engagement>
     */
    private function models(Builder $some, ?int $partyId, bool $isOfAll = false): Models
    {
        $parties = fn (HasMany $rows) => $isOfAll ? $rows : $rows->whereRaw(
            '(role_id in (select id from engagement_roles where is_client = 1) or party_id = ? or via_id = ?)',
            [$partyId ?? 0, $partyId ?? 0],
        );

        return $some->with(['parties' => $parties, 'parties.party:id,display_name', ...self::READS])->get();
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
            ->filter(
                fn (EngagementStage $stage) => $sums->has($stage->id) || (! $stage->is_retired && $filter->mayStandIn($stage->meaning)),
            )
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

    /**
     * @param Builder<Engagement> $listed
     * @param Narrowed<Engagement> $narrowed
     */
    private function order(Builder $listed, Narrowed $narrowed, Wanted $asked): void
    {
        if ($asked->sort === []) {
            $listed->orderByDesc('begun_on')->orderByDesc('number');
        }
        foreach ($asked->sort === [] ? [] : $narrowed->orders() as [$order, $way]) {
            $listed->orderByRaw("$order $way");
        }
        $listed->orderByDesc('engagements.id');
    }
}
