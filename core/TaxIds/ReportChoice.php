<?php

declare(strict_types=1);

namespace Almanac\TaxIds;

/** Whether the rule decides if a vendor is reported, or somebody has. */
enum ReportChoice: string
{
    case ByRule = 'by the rule';
    case Always = 'always';
    case Never = 'never';
}
