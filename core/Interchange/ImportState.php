<?php

declare(strict_types=1);

namespace Almanac\Interchange;

use Almanac\Titled;

/** How far a file has come that is being read in. */
enum ImportState: string implements Titled
{
    case Reading = 'reading';

    /** Somebody has to say what its columns are. */
    case Columns = 'columns';
    case Checking = 'checking';
    case Checked = 'checked';
    case Taking = 'taking';

    /** Documents are in, and their sums are worked out. */
    case Counting = 'counting';
    case Stopped = 'stopped';
    case Taken = 'taken';
    case TakingBack = 'taking-back';
    case TakenBack = 'taken-back';
    case Failed = 'failed';

    public function title(): string
    {
        return match ($this) {
            self::Reading => 'being read',
            self::Columns => 'waits for its columns',
            self::Checking => 'being checked',
            self::Checked => 'checked',
            self::Taking, self::Counting => 'being imported',
            self::Stopped => 'stopped',
            self::Taken => 'imported',
            self::TakingBack => 'being taken back',
            self::TakenBack => 'taken back',
            self::Failed => 'could not be read',
        };
    }

    /** Whether somebody works on it, or will. */
    public function isUnderWay(): bool
    {
        return in_array($this, [self::Reading, self::Checking, self::Taking, self::Counting, self::TakingBack], true);
    }

    /** Whether its columns, its lines and what is decided of them may still be other. */
    public function isOpen(): bool
    {
        return $this === self::Columns || $this === self::Checked;
    }

    /** Whether what can be taken of it may be, or gone on with. */
    public function mayBeTaken(): bool
    {
        return $this === self::Checked || $this === self::Stopped;
    }

    /** Whether what was taken may be taken back. */
    public function mayBeTakenBack(): bool
    {
        return $this === self::Taken || $this === self::Stopped;
    }

    /** Whether nothing of it is in the book, or all that will be. */
    public function mayBeForgotten(): bool
    {
        return ! $this->isUnderWay() && $this !== self::Stopped;
    }
}
