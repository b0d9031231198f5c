<?php

declare(strict_types=1);

namespace Almanac\Records;

/** What a line of a history tells of; of those of one day the highest stand first. */
enum StreamKind: int
{
    case Changes = 1;
    case Document = 2;
    case Message = 3;
    case Payment = 4;
    case Stage = 5;
    case Entry = 6;
    case Meeting = 7;

    public function code(): string
    {
        return strtolower($this->name);
    }
}
