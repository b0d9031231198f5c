<?php

declare(strict_types=1);

namespace Almanac\Bulk;

use Almanac\Titled;

/** What came of a bulk change for one record. */
enum BulkOutcome: string implements Titled
{
    case Waiting = 'waiting';
    case Changed = 'changed';
    case Same = 'same';
    case Refused = 'refused';
    case TakenBack = 'taken-back';
    case Kept = 'kept';

    public function title(): string
    {
        return match ($this) {
            self::Waiting => 'not yet',
            self::Changed => 'changed',
            self::Same => 'so already',
            self::Refused => 'not possible',
            self::TakenBack => 'taken back',
            self::Kept => 'keeps what was changed since',
        };
    }
}
