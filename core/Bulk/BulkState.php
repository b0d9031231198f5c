<?php

declare(strict_types=1);

namespace Almanac\Bulk;

use Almanac\Titled;

/** How far a bulk change has come. */
enum BulkState: string implements Titled
{
    case Waiting = 'waiting';
    case Running = 'running';
    case Done = 'done';
    case Stopped = 'stopped';
    case Failed = 'failed';
    case TakingBack = 'taking-back';
    case TakenBack = 'taken-back';

    public function title(): string
    {
        return match ($this) {
            self::Waiting => 'waiting',
            self::Running => 'under way',
            self::Done => 'done',
            self::Stopped => 'stopped',
            self::Failed => 'came to nothing',
            self::TakingBack => 'being taken back',
            self::TakenBack => 'taken back',
        };
    }

    /** Whether somebody works on it, or will. */
    public function isUnderWay(): bool
    {
        return in_array($this, [self::Waiting, self::Running, self::TakingBack], true);
    }

    /** Whether it may be taken back: what is done of it. */
    public function mayBeTakenBack(): bool
    {
        return in_array($this, [self::Done, self::Stopped, self::Failed], true);
    }

    /** Whether what is left of it may be gone on with. */
    public function mayGoOn(): bool
    {
        return $this === self::Stopped || $this === self::Failed;
    }
}
