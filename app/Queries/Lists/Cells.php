<?php

declare(strict_types=1);

namespace App\Queries\Lists;

use Almanac\Calendar\Day;
use Almanac\Lists\Value;
use Almanac\Money\Money;
use App\Facts\Lists\ListedField;
use App\Models\Office;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;

/** What stands in the columns of a list, for reading. */
final class Cells
{
    /**
     * @template TModel of Model
     *
     * @param list<ListedField<TModel>> $columns
     * @param Collection<int, TModel> $models
     *
     * @return list<list<string>> for each model what stands in each column
     */
    public static function of(array $columns, Collection $models, Day $today): array
    {
        $models->loadMissing(array_merge([], ...array_map(fn (ListedField $column) => $column->reads, $columns)));

        return array_values($models->map(
            fn (Model $model) => array_map(fn (ListedField $column) => self::text($column->value($model, $today)), $columns),
        )->all());
    }

    /** Amounts in the office's own currency without its name, which is said beside the list. */
    public static function text(Value $value): string
    {
        $held = $value->held;

        return match (true) {
            $held instanceof Money => $held->currency === Office::current()->currency() ? $held->figures() : $held->toText(),
            $held === false => '',
            default => $value->toText(),
        };
    }
}
