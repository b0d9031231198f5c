<?php

declare(strict_types=1);

namespace Almanac\Interchange;

use Almanac\Titled;

/** What a line of a file comes to. */
enum LineOutcome: string implements Titled
{
    case New = 'new';
    case Changes = 'changes';
    case Same = 'same';
    case Doubtful = 'doubtful';
    case Wrong = 'wrong';

    /** Somebody said to leave it out. */
    case LeftOut = 'left-out';

    public function title(): string
    {
        return match ($this) {
            self::New => 'new',
            self::Changes => 'changes a record',
            self::Same => 'the same already',
            self::Doubtful => 'doubtful',
            self::Wrong => 'wrong',
            self::LeftOut => 'left out',
        };
    }

    /** Whether taking it in does something. */
    public function isTaken(): bool
    {
        return $this === self::New || $this === self::Changes;
    }
}
