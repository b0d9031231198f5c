<?php

declare(strict_types=1);

namespace Tests\Core\TaxIds;

use Almanac\Money\Money;
use Almanac\TaxIds\ReportChoice;
use Almanac\TaxIds\TaxIdKind;
use Almanac\TaxIds\TaxReporting;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** IRS, instructions for forms 1099-MISC and 1099-NEC; from memory. */
final class TaxReportingTest extends TestCase
{
    /** @return iterable<string, array{array{string, string, string, string, bool, ReportChoice}, bool, string}> */
    public static function vendors(): iterable
    {
        $rule = ReportChoice::ByRule;
        yield 'works for herself' => [
            ['US', 'US', '', 'Quill Gilding', false, $rule],
            true,
            'They are in the United States and not incorporated.',
        ];
        yield 'a company of limited liability' => [
            ['US', '', 'limited liability company', 'Brass Lantern Foundry LLC', false, $rule],
            true,
            'They are in the United States and not incorporated.',
        ];
        yield 'by its legal form' => [['US', 'US', 'corporation', 'Brass', false, $rule], false, 'They are incorporated.'];
        yield 'by its name' => [['US', 'US', '', 'Fenwick Leather Supply Inc.', false, $rule], false, 'They are incorporated.'];
        yield 'a part of a word is no form' => [
            ['US', 'US', '', 'Princeton Incline', false, $rule],
            true,
            'They are in the United States and not incorporated.',
        ];
        yield 'abroad' => [['US', 'CA', '', 'Fenwick', false, $rule], false, 'They are not in the United States.'];
        yield 'the office abroad' => [['GB', 'GB', '', 'Tarn', false, $rule], false, 'The office is not in the United States.'];
        yield 'attorneys, incorporated or not' => [
            ['US', 'US', '', 'Finch & Vale Inc.', true, $rule],
            true,
            'Attorneys are always reported.',
        ];
        yield 'by hand' => [['US', 'US', '', 'Acme Corp.', false, ReportChoice::Always], true, 'Set by hand to be reported.'];
        yield 'by hand not' => [['US', 'US', '', 'Quill', true, ReportChoice::Never], false, 'Set by hand not to be reported.'];
    }

    /** @param  array{string, string, string, string, bool, ReportChoice}  $vendor */
    #[DataProvider('vendors')]
    public function test_who_is_reported_and_why(array $vendor, bool $isReportable, string $why): void
    {
        $reporting = TaxReporting::of(...$vendor);
        $this->assertSame([$isReportable, $why], [$reporting->isReportable, $reporting->why]);
    }

    public function test_thresholds_and_what_would_be_withheld(): void
    {
        $this->assertSame(
            ['600.00', '600.00', '2000.00'],
            array_map(fn (int $year) => TaxReporting::threshold($year)->toDecimal(), [2024, 2025, 2026]),
        );
        $this->assertSame('240.00', TaxReporting::backupWithholding(Money::of('1000', 'USD'))->toDecimal());
        $this->assertTrue(TaxIdKind::Ein->isForForm());
        $this->assertFalse(TaxIdKind::Vat->isForForm());
    }
}
