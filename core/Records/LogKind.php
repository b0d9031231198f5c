<?php

declare(strict_types=1);

namespace Almanac\Records;

/** What a log entry tells of. */
enum LogKind: string
{
    case Note = 'note';
    case Call = 'call';
    case Email = 'email';
    case Meeting = 'meeting';
    case Letter = 'letter';
}
