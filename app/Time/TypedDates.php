<?php

declare(strict_types=1);

namespace App\Time;

use Almanac\Calendar\Day;
use Almanac\Records\Period;
use App\Models\Office;
use App\Validation\FieldProblems;

/** Reads dates and periods as they were typed, each refusal at its own field. */
final readonly class TypedDates
{
    public function __construct(private Clock $clock)
    {
    }

    public function read(string $since, string $until, string $field, FieldProblems $problems): ?Period
    {
        $from = $this->day($since, ltrim("$field.since", '.'), $problems);
        $to = $this->day($until, ltrim("$field.until", '.'), $problems);

        return $problems->at(ltrim("$field.until", '.'), fn () => Period::of($from, $to));
    }

    public function today(): Day
    {
        return $this->clock->today();
    }

    /** One date, or null when nothing was typed. */
    public function day(string $typed, string $field, FieldProblems $problems): ?Day
    {
        return trim($typed) === ''
            ? null
            : $problems->at($field, fn () => $this->clock->reader(Office::current())->read($typed));
    }
}
