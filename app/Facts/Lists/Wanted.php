<?php

declare(strict_types=1);

namespace App\Facts\Lists;

use Almanac\Lists\ListView;

/** A list as somebody wants it. */
final readonly class Wanted
{
    private const MOST_KEYS = 30;

    /**
     * @param string $sentence of the filter
     * @param list<string> $sort keys of fields, with a minus the other way round
     * @param list<string> $columns keys of fields; none for the usual ones
     * @param int $page from 1
     * @param ListView $view how it is looked at
     * @param bool $withArchived whether those that are in use no more are listed as well
     */
    public function __construct(
        public string $sentence = '',
        public array $sort = [],
        public array $columns = [],
        public int $page = 1,
        public bool $withArchived = false,
        public ListView $view = ListView::Table,
    ) {
    }

    /** @return list<string> */
    public static function keys(string $joined): array
    {
        return array_slice(
            array_values(array_unique(array_filter(array_map(trim(...), explode(',', $joined)), fn (string $key) => $key !== ''))),
            0,
            self::MOST_KEYS,
        );
    }
}
