<?php

declare(strict_types=1);

namespace Almanac\Terms;

/** The two sides of dealing with somebody: they owe us, or we owe them. */
enum Side: string
{
    case Client = 'client';
    case Vendor = 'vendor';

    /** What is open on this side. */
    public function balance(): string
    {
        return $this === self::Client ? 'receivable' : 'payable';
    }
}
