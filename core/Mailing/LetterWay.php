<?php

declare(strict_types=1);

namespace Almanac\Mailing;

use Almanac\Titled;

/** How letters leave the office. */
enum LetterWay: string implements Titled
{
    case Paper = 'paper';
    case Papers = 'papers';
    case Email = 'email';

    public function title(): string
    {
        return match ($this) {
            self::Paper => 'on paper, all in one file',
            self::Papers => 'on paper, a file for each',
            self::Email => 'by email',
        };
    }

    public function isEmail(): bool
    {
        return $this === self::Email;
    }
}
