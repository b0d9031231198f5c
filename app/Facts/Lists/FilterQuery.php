<?php

declare(strict_types=1);

namespace App\Facts\Lists;

use Almanac\Calendar\Day;
use Almanac\Lists\Condition;
use Almanac\Lists\Filter;

/** A filter as the database is asked it. */
final class FilterQuery
{
    public static function of(Filter $filter, Day $today): Asked
    {
        return Asked::together(array_map(
            fn (Condition|Filter $part) => $part instanceof Filter
                ? self::of($part, $today)
                : PartyFields::of($part->field->key)->source->asks($part, $today),
            $filter->parts,
        ), $filter->isAll);
    }
}
