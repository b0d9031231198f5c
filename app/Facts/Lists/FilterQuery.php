<?php

declare(strict_types=1);

namespace App\Facts\Lists;

use Almanac\Calendar\Day;
use Almanac\Lists\Condition;
use Almanac\Lists\Filter;
use Illuminate\Database\Eloquent\Model;

/** A filter as the database is asked it. */
final class FilterQuery
{
    /** @param  ListRegister<covariant Model>  $register */
    public static function of(Filter $filter, ListRegister $register, Day $today): Asked
    {
        return Asked::together(array_map(
            fn (Condition|Filter $part) => $part instanceof Filter
                ? self::of($part, $register, $today)
                : self::source($register, $part)->asks($part, $today),
            $filter->parts,
        ), $filter->isAll);
    }

    /** @param  ListRegister<covariant Model>  $register */
    private static function source(ListRegister $register, Condition $condition): Source
    {
        return $register->fields()
            ->get($condition->field->key)->source ?? throw new \OutOfBoundsException("There is no field {$condition->field->key}.");
    }
}
