<?php

declare(strict_types=1);

namespace Almanac\Mailing;

use Almanac\Titled;

/** What came of a letter to one record. */
enum LetterOutcome: string implements Titled
{
    case Waiting = 'waiting';
    case Written = 'written';
    case LeftOut = 'left-out';

    public function title(): string
    {
        return match ($this) {
            self::Waiting => 'not yet',
            self::Written => 'written',
            self::LeftOut => 'left out',
        };
    }
}
