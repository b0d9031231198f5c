<?php

declare(strict_types=1);

namespace Almanac\Records;

use Almanac\Titled;

/** What a log entry tells of. */
enum LogKind: string implements Titled
{
    case Note = 'note';
    case Call = 'call';
    case Email = 'email';
    case Meeting = 'meeting';
    case Letter = 'letter';

    public function title(): string
    {
        return $this->value;
    }
}
