<?php

declare(strict_types=1);

namespace App\Queries\Records;

use Almanac\Lists\FieldType;
use App\Database\Ids;
use App\Facts\Finding\RecordLine;
use App\Facts\Lists\PartyField;
use App\Facts\Lists\PartyFields;
use App\Http\Data\Records\ColumnData;
use App\Http\Data\Records\PartyBalanceData;
use App\Http\Data\Records\PartyPageData;
use App\Http\Data\Records\PartyRowData;
use App\Models\Balance;
use App\Models\Office;
use App\Queries\Finding\ReadLines;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** Reads the directory, as records are filed, or by any field of the register. */
final readonly class ListParties
{
    private const PAGE = 100;

    /** The fields that are shown, in this order. */
    private const COLUMNS = ['name', 'role', 'place', 'phone', 'receivable', 'overdue', 'payable', 'days-to-pay'];

    public function __construct(private ReadLines $lines)
    {
    }

    /**
     * @param string $sort the key of a field that the database knows; else it is by name
     * @param bool $isReversed the other way round: names from Z, figures from the smallest
     */
    public function handle(int $page, bool $withArchived, string $sort = 'name', bool $isReversed = false): PartyPageData
    {
        $asked = PartyFields::all()->get($sort);
        $field = $asked === null || $asked->sql === '' ? PartyFields::of('name') : $asked;
        $listed = $this->listed($field, $withArchived);
        $total = $listed->count();
        $pages = max(1, (int) ceil($total / self::PAGE));
        $column = ColumnData::of($field);
        $this->order($listed, $field, $isReversed === $column->isFigure ? 'asc' : 'desc');
        $ids = Ids::of($listed->forPage(max(1, $page), self::PAGE)->pluck('party_id'));

        return new PartyPageData(
            $total,
            DB::table('record_lines')->whereRaw('is_in_use = 0')->count(),
            max(1, $page),
            $pages,
            array_values(array_map(fn (RecordLine $line) => PartyRowData::ofRow($line->row), $this->lines->handle($ids))),
            array_values(Balance::query()->findMany($ids)->map(fn (Balance $balance) => PartyBalanceData::of($balance))->all()),
            Office::current()->currency(),
            array_map(fn (string $key) => ColumnData::of(PartyFields::of($key)), self::COLUMNS),
        );
    }

    /** Whoever has a place in that order. */
    private function listed(PartyField $field, bool $withArchived): Builder
    {
        if ($field->balance === '') {
            return DB::table('record_lines')->when(! $withArchived, fn (Builder $rows) => $rows->whereRaw('is_in_use = 1'));
        }

        // In these words the partial indexes have it; with values bound to the query they would not be used.
        return DB::table('balances')
            ->when(! $withArchived, fn (Builder $rows) => $rows->whereRaw('is_in_use = 1'))
            ->whereRaw($field->field->type === FieldType::Amount ? "{$field->balance} <> 0" : "{$field->balance} is not null");
    }

    private function order(Builder $listed, PartyField $field, string $direction): void
    {
        match (true) {
            $field->balance !== '' => $listed->orderBy($field->balance, $direction)->orderBy('party_id', $direction),
            $field->field->key === 'name' => $listed->orderBy('sort_key', $direction)->orderBy('party_id', $direction),
            // What is empty comes last, whichever way round.
            default => $listed->join('parties', 'parties.id', '=', 'party_id')
                ->orderByRaw("{$field->sql} is null")->orderByRaw("{$field->sql} $direction")
                ->orderBy('record_lines.sort_key')->orderBy('party_id'),
        };
    }
}
