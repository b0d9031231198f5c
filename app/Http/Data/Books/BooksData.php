<?php

declare(strict_types=1);

namespace App\Http\Data\Books;

use Almanac\Ledger\AgeingBy;
use App\Http\Data\Records\SideFieldData;
use OpenApi\Attributes as OA;

/** What the office has set for its books: rates, accounts, cost centres, currencies, and how it counts. */
#[OA\Schema(schema: 'Books')]
final readonly class BooksData
{
    /**
     * @param list<TaxRateData> $taxRates
     * @param list<AccountData> $accounts
     * @param list<CostCentreData> $costCentres
     * @param list<CurrencyRateData> $rates
     * @param list<HolidayData> $holidays
     * @param list<SideFieldData> $clientDefaults
     * @param list<SideFieldData> $vendorDefaults
     * @param list<string> $currencies
     */
    public function __construct(
        #[OA\Property(description: 'Of the office: ISO 4217.')]
        public string $currency,
        #[OA\Property(description: 'The office’s own, and those it has a rate for.', items: new OA\Items(type: 'string'))]
        public array $currencies,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/TaxRate'))]
        public array $taxRates,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/Account'))]
        public array $accounts,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/CostCentre'))]
        public array $costCentres,
        #[OA\Property(description: 'By currency, the latest first.', items: new OA\Items(ref: '#/components/schemas/CurrencyRate'))]
        public array $rates,
        #[OA\Property(description: 'Those read in, from today on.', items: new OA\Items(ref: '#/components/schemas/Holiday'))]
        public array $holidays,
        #[OA\Property]
        public bool $keepsUsHolidays,
        #[OA\Property(enum: AgeingBy::class)]
        public string $ageingBy,
        #[OA\Property(description: 'Days after which an open document is worth a warning.')]
        public int $warnAfter,
        #[OA\Property(description: 'Percent of interest on what is late; empty for none.')]
        public string $lateRate,
        #[OA\Property(description: 'For each month begun, rather than a year.')]
        public bool $latePerMonth,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/SideField'))]
        public array $clientDefaults,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/SideField'))]
        public array $vendorDefaults,
    ) {
    }
}
