<?php

declare(strict_types=1);

namespace Almanac\Interchange;

/** One thing that a line changes of a record. */
final readonly class RowChange
{
    /** @param  string  $key  of its column; what there are several of is added, or replaces the one that it is instead of */
    public function __construct(public string $key, public string $title, public string $from, public string $to)
    {
    }
}
