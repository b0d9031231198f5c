<?php

declare(strict_types=1);

namespace Almanac\TaxIds;

use Almanac\Titled;

/** Whether the rule decides if a vendor is reported, or somebody has. */
enum ReportChoice: string implements Titled
{
    case ByRule = 'by-rule';
    case Always = 'always';
    case Never = 'never';

    public function title(): string
    {
        return match ($this) {
            self::ByRule => 'by the rule',
            default => $this->value,
        };
    }
}
