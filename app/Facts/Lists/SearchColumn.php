<?php

declare(strict_types=1);

namespace App\Facts\Lists;

/** The columns of the search index: a word found in one counts more or less than in another. */
enum SearchColumn: string
{
    case Name = 'name';
    case Also = 'also';
    case Number = 'number';
    case WorksAt = 'works_at';
    case Email = 'email';
    case Phone = 'phone';
    case Place = 'place';

    /** Whether it is found by runs of its figures too, as a phone is by its last digits. */
    public function isFigures(): bool
    {
        return $this === self::Phone || $this === self::Number;
    }
}
