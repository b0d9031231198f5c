<?php

declare(strict_types=1);

namespace Almanac\Readiness;

/**
 * Whether what we pay a vendor is reported to the tax office: in the United States on form
 * 1099-NEC, for vendors there who are not incorporated (IRS, instructions for forms 1099-MISC
 * and 1099-NEC; from memory).
 */
final class TaxReport
{
    private const INCORPORATED = '/\b(corporation|incorporated|inc|corp|pbc)\b\.?/i';

    /**
     * @param string $office ISO 3166-1 code of the office's country
     * @param string $vendor that of the vendor's address; empty without one
     * @param string $legalForm as the record says
     * @param string $name of a company, legal or not
     */
    public static function covers(string $office, string $vendor, string $legalForm, string $name): bool
    {
        return $office === 'US'
            && in_array($vendor, ['US', ''], true)
            && preg_match(self::INCORPORATED, $legalForm.' '.$name) !== 1;
    }
}
