<?php

declare(strict_types=1);

namespace Almanac\TaxIds;

use Almanac\Money\Money;
use Almanac\Money\Percent;

/**
 * Whether what a vendor is paid is reported to the tax office on form 1099-NEC, and why: in the
 * United States, vendors there who are not incorporated; attorneys always (IRS, instructions for
 * forms 1099-MISC and 1099-NEC; from memory).
 */
final readonly class TaxReporting
{
    private const INCORPORATED = '/\b(corporation|incorporated|inc|corp|pbc)\b\.?/i';

    /** What is withheld from payments to somebody whose number is missing (IRC section 3406; from memory). */
    private const WITHHELD = 24;

    private function __construct(public bool $isReportable, public string $why)
    {
    }

    /**
     * @param string $office ISO 3166-1 code of the office's country
     * @param string $vendor that of the vendor's address; empty without one
     * @param string $legalForm as the record says
     * @param string $name of a company, legal or not
     */
    public static function of(string $office, string $vendor, string $legalForm, string $name, bool $isAttorney, ReportChoice $choice): self
    {
        return match (true) {
            $office !== 'US' => new self(false, 'The office is not in the United States.'),
            $choice === ReportChoice::Never => new self(false, 'Set by hand not to be reported.'),
            $choice === ReportChoice::Always => new self(true, 'Set by hand to be reported.'),
            ! in_array($vendor, ['US', ''], true) => new self(false, 'They are not in the United States.'),
            $isAttorney => new self(true, 'Attorneys are always reported.'),
            preg_match(self::INCORPORATED, $legalForm.' '.$name) === 1 => new self(false, 'They are incorporated.'),
            default => new self(true, 'They are in the United States and not incorporated.'),
        };
    }

    /** From how much paid in a calendar year on it is reported: 600 USD to 2025, 2,000 USD from 2026 (from memory). */
    public static function threshold(int $year): Money
    {
        return Money::of($year <= 2025 ? '600' : '2000', 'USD');
    }

    /** What is withheld while the number is missing. */
    public static function backupWithholding(Money $paid): Money
    {
        return $paid->percentage(Percent::of(self::WITHHELD));
    }
}
