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
    /** Up to so many are read in their order at once, and so counted with it. */
    private const FEW = 1000;

    public Vocabulary $words;

    public Reading $reading;

    /** @var Narrowed<Party> */
    private Narrowed $narrowed;

    public function __construct(Clock $clock, private Wanted $wanted, User $reader)
    {
        $this->narrowed = new Narrowed(new PartyRegister, $wanted, $clock, $reader);
        $this->words = $this->narrowed->words;
        $this->reading = $this->narrowed->reading;
    }

    /** @return array{int, list<int>} how many there are, and those of one stretch in their order */
    public function stretch(int $from, int $most): array
    {
        // A list that is not narrowed is counted by its index, and one of a few with the reading of it.
        if ($this->narrowed->isEmpty()) {
            return [$this->rows(true)->count(), $this->some($from, $most)];
        }
        if ($from + $most <= self::FEW) {
            $first = $this->some(0, self::FEW + 1);

            return [count($first) <= self::FEW ? count($first) : $this->rows()->count(), array_slice($first, $from, $most)];
        }

        return [$this->rows()->count(), $this->some($from, $most)];
    }

    /**
     * What the database is asked, of the rows of record_values as v.
     *
     * @param bool $isByIndex whether nothing else of a row is looked at, where the list is not narrowed
     */
    public function asked(bool $isByIndex = false): Asked
    {
        $isNarrowed = ! $this->narrowed->isEmpty();
        // With a plus the index is left alone: almost all are in use, and a walk from end to end is eight times as fast as one
        // by the index with a look at each row.
        $inUse = new Asked($isByIndex && ! $isNarrowed ? 'v.is_in_use = 1' : '+v.is_in_use = 1');

        return Asked::together([
            ...$this->leavesOutArchived() ? [$inUse] : [],
            ...$isNarrowed ? [$this->narrowed->asked()] : [],
        ], true);
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
        $sort = $this->sort();
        // By name alone there is an index, which has no name that is empty.
        $isByName = count($sort) === 1 && $sort[0][0]->field->key === 'name';
        $rows = $this->rows($isByName);
        foreach ($isByName ? [] : $this->narrowed->orders() as $order) {
            $rows->orderByRaw($order);
        }
        $way = $isByName && $sort[0][1] ? 'desc' : 'asc';

        return $rows->orderByRaw("v.collated $way")->orderByRaw("v.party_id $way");
    }

    /** @return list<array{ListedField<Party>, bool}> the fields that it is sorted by, and whether the other way round */
    public function sort(): array
    {
        return $this->narrowed->sort();
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
