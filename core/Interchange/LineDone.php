<?php

declare(strict_types=1);

namespace Almanac\Interchange;

use Almanac\Titled;

/** What came of a line that was taken. */
enum LineDone: string implements Titled
{
    case Added = 'added';
    case Changed = 'changed';
    case Same = 'same';
    case Refused = 'refused';
    case TakenBack = 'taken-back';
    case Kept = 'kept';

    public function title(): string
    {
        return match ($this) {
            self::Added => 'added',
            self::Changed => 'changed',
            self::Same => 'so already',
            self::Refused => 'not possible',
            self::TakenBack => 'taken back',
            self::Kept => 'stays',
        };
    }
}
