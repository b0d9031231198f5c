<?php

declare(strict_types=1);

namespace Almanac\Readiness;

/** What a record is to be ready for. */
enum Purpose: string
{
    case WriteTo = 'write-to';
    case Bill = 'bill';
    case Pay = 'pay';
    case TaxReport = 'tax-report';

    /** As it is headed: "Ready to bill". */
    public function words(): string
    {
        return match ($this) {
            self::WriteTo => 'to write to',
            self::Bill => 'to bill',
            self::Pay => 'to pay',
            self::TaxReport => 'for the tax report',
        };
    }
}
