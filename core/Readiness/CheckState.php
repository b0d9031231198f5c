<?php

declare(strict_types=1);

namespace Almanac\Readiness;

/** How a check came out. */
enum CheckState: string
{
    case Passed = 'passed';
    case Missing = 'missing';
    case Doubtful = 'doubtful';
}
