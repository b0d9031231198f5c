<?php

declare(strict_types=1);

namespace Almanac\Mailing;

use Almanac\Titled;

/** How far letters to many have come. */
enum LettersState: string implements Titled
{
    case Waiting = 'waiting';
    case Writing = 'writing';
    case Done = 'done';
    case Stopped = 'stopped';
    case Failed = 'failed';

    public function title(): string
    {
        return match ($this) {
            self::Waiting => 'waiting',
            self::Writing => 'being written',
            self::Done => 'done',
            self::Stopped => 'stopped',
            self::Failed => 'came to nothing',
        };
    }

    /** Whether somebody works on them, or will. */
    public function isUnderWay(): bool
    {
        return $this === self::Waiting || $this === self::Writing;
    }

    /** Whether what is left of them may be gone on with. */
    public function mayGoOn(): bool
    {
        return $this === self::Stopped || $this === self::Failed;
    }
}
