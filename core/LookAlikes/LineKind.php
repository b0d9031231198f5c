<?php

declare(strict_types=1);

namespace Almanac\LookAlikes;

/** What different people may rightly share, and what is known by it. */
enum LineKind: string
{
    case Phone = 'phone';
    case Email = 'email';
    case Address = 'address';
}
