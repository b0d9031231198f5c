<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Support\Collection;

/** Numbers of rows, as a query that knows no model gives them. */
final class Ids
{
    /**
     * @param Collection<array-key, mixed> $plucked
     *
     * @return list<int>
     */
    public static function of(Collection $plucked): array
    {
        return array_values(array_map(intval(...), array_filter($plucked->all(), is_numeric(...))));
    }
}
