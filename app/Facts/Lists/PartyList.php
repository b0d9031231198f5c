<?php

declare(strict_types=1);

namespace App\Facts\Lists;

use Almanac\Bulk\BulkRefused;
use Almanac\Lists\Condition;
use Almanac\Lists\Reading;
use Almanac\Lists\Vocabulary;
use App\Database\Ids;
use App\Models\Party;
use App\Models\User;
use App\Time\Clock;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** The records of a list, in its order. */
final readonly class PartyList
{
    /** What the whole directory is sorted by with an index of its own, where that is all it is sorted by. */
    private const INDEXED = [
        'receivable' => 'receivable_minor', 'overdue' => 'overdue_minor', 'payable' => 'payable_minor',
        'days-to-pay' => 'days_to_pay_tenths',
    ];

    /** What the index of what is asked most has of a row. */
    public const TOLD = [
        'is_in_use', 'kind', 'is_client', 'is_vendor', 'region', 'receivable_minor', 'payable_minor', 'overdue_minor', 'days_to_pay_tenths',
        'has_tax_number', 'has_bank', 'has_email', 'has_phone', 'country', 'is_over_limit', 'ready_write_to', 'ready_bill', 'ready_pay',
        'ready_tax_report', 'added_at', 'billed_on', 'paid_on', 'owner_id', 'form_on', 'archived_on', 'place', 'collated', 'party_id',
    ];

    public Vocabulary $words;

    public Reading $reading;

    /** @var Narrowed<Party> */
    private Narrowed $narrowed;

    /** @var list<array{ListedField<Party>, bool}> the fields that it is sorted by, and whether the other way round */
    public array $sort;

    public function __construct(Clock $clock, private Wanted $wanted, User $reader)
    {
        $this->narrowed = new Narrowed(new PartyRegister, $wanted, $clock, $reader);
        $this->words = $this->narrowed->words;
        $this->reading = $this->narrowed->reading;
        $this->sort = $this->narrowed->sort();
    }

    /** @return array{int, list<int>} how many there are, and those of one stretch in their order */
    public function stretch(int $from, int $most): array
    {
        if ($this->narrowed->isEmpty()) {
            return [$this->rows(true)->count(), $this->byIndex($from, $most) ?? $this->some($from, $most)];
        }
        // One walk from end to end finds them and counts them.
        $asked = $this->asked();
        $columns = $orders = [];
        foreach ($this->orders() as $at => [$order, $way]) {
            $columns[] = "$order as o$at";
            $orders[] = "o$at $way";
        }
        $rows = DB::select(
            'with listed as materialized (select v.party_id as id, '.implode(', ', $columns)." from record_values as v where $asked->sql)"
                .' select id, (select count(*) from listed) as many from listed order by '.implode(', ', $orders)." limit $most offset $from",
            $asked->bindings,
        );

        return $rows === [] && $from > 0
            ? [$this->rows()->count(), []]
            : [(int) ($rows[0]->many ?? 0), Ids::of(collect($rows)->pluck('id'))];
    }

    /**
     * What the database is asked, of the rows of record_values as v.
     *
     * @param bool $isByIndex whether nothing else of a row is looked at, where the list is not narrowed
     */
    public function asked(bool $isByIndex = false): Asked
    {
        return $this->inUse($isByIndex && $this->narrowed->isEmpty());
    }

    /** What the database is asked where it only counts: without a look at the rows where an index has all that is asked. */
    public function counted(): Asked
    {
        preg_match_all('/\bv\.(\w+)/', $this->narrowed->asked()->sql, $columns);

        return $this->inUse(array_diff($columns[1], self::TOLD) === []);
    }

    /** What the database is asked for one condition. */
    public function asking(Condition $condition): Asked
    {
        return $this->narrowed->asking($condition);
    }

    /** @return Builder the rows of record_values, as v */
    public function rows(bool $isByIndex = false): Builder
    {
        $asked = $this->asked($isByIndex);

        return DB::table('record_values as v')->whereRaw($asked->sql, $asked->bindings);
    }

    /**
     * @return Builder the rows of record_values, as v, of those that were chosen of it
     *
     * @throws BulkRefused when it is all of a list of which not all is understood
     */
    public function chosen(Chosen $chosen): Builder
    {
        $numbers = json_encode($chosen->ids, JSON_THROW_ON_ERROR);
        if (! $chosen->isAll) {
            return DB::table('record_values as v')->whereRaw('v.party_id in (select value from json_each(?))', [$numbers]);
        }
        if (! $this->reading->isWhole()) {
            throw BulkRefused::notUnderstood();
        }

        return $this->rows()->whereRaw('v.party_id not in (select value from json_each(?))', [$numbers]);
    }

    /** @return Builder in their order */
    public function inOrder(): Builder
    {
        $rows = $this->rows($this->isByName());
        foreach ($this->orders() as [$order, $way]) {
            $rows->orderByRaw("$order $way");
        }

        return $rows;
    }

    /** @return list<array{string, 'asc'|'desc'}> down to the number, so that no two are alike */
    private function orders(): array
    {
        // By name alone there is an index, which has no name that is empty.
        $way = $this->isByName() && $this->sort[0][1] ? 'desc' : 'asc';

        return [...$this->isByName() ? [] : $this->narrowed->orders(), ['v.collated', $way], ['v.party_id', $way]];
    }

    /** @param  bool  $isByIndex  whether an index has all that is asked */
    private function inUse(bool $isByIndex): Asked
    {
        // With a plus the index is left alone: almost all are in use, and a walk from end to end is eight times as fast as one
        // by the index with a look at each row.
        $inUse = new Asked($isByIndex ? 'v.is_in_use = 1' : '+v.is_in_use = 1');

        return Asked::together([
            ...$this->leavesOutArchived() ? [$inUse] : [],
            ...$this->narrowed->isEmpty() ? [] : [$this->narrowed->asked()],
        ], true);
    }

    private function isByName(): bool
    {
        return array_map(fn (array $one) => $one[0]->field->key, $this->sort) === ['name'];
    }

    /** @return list<int>|null null where no index has that order */
    private function byIndex(int $from, int $most): ?array
    {
        $sort = $this->sort;
        $column = count($sort) === 1 ? self::INDEXED[$sort[0][0]->field->key] ?? null : null;
        if ($column === null || ! $this->leavesOutArchived()) {
            return null;
        }
        // By name: statistics of a thousand rows may say that another leads there.
        $filled = fn () => DB::table(DB::raw("record_values as v indexed by record_values_by_$column"))
            ->whereRaw("v.is_in_use = 1 and v.$column is not null");
        $ids = Ids::of($filled()->orderByRaw("v.$column ".($sort[0][1] ? 'asc' : 'desc'))->orderByRaw('v.collated, v.party_id')
            ->offset($from)->limit($most)->pluck('v.party_id'));
        if (count($ids) === $most) {
            return $ids;
        }
        $rest = DB::table('record_values as v')->whereRaw("v.is_in_use = 1 and v.$column is null")->orderByRaw('v.collated, v.party_id')
            ->offset(max(0, $from - $filled()->count()))->limit($most - count($ids));

        return [...$ids, ...Ids::of($rest->pluck('v.party_id'))];
    }

    /**
     * @param list<string> $look the keys of the columns that somebody has chosen for themselves
     *
     * @return list<ListedField<Party>>
     */
    public function columns(array $look): array
    {
        return $this->narrowed->columns($look);
    }

    /** Whoever asks for archived ones gets them. */
    private function leavesOutArchived(): bool
    {
        return ! $this->wanted->withArchived && ! $this->narrowed->asksFor('archived', 'archived-on');
    }

    /** @return list<int> */
    private function some(int $from, int $most): array
    {
        return Ids::of($this->inOrder()->offset($from)->limit($most)->pluck('v.party_id'));
    }
}
