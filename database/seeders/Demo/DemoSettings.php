<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use Almanac\Terms\Side;
use App\Actions\Books\KeepAccounts;
use App\Actions\Books\KeepBookSettings;
use App\Actions\Books\KeepCostCentres;
use App\Actions\Books\KeepCurrencyRates;
use App\Actions\Books\KeepTaxRates;
use App\Models\CostCentre;
use App\Models\LedgerAccount;
use App\Models\TaxRate;
use App\Time\Clock;

/** The settings of the books of the demo office: accounts, cost centres, rates, what records inherit. */
final readonly class DemoSettings
{
    use TellsDaysAgo;

    private const ACCOUNTS = [
        ['4000', 'Restoration of clocks', 'income'],
        ['4100', 'Restoration of instruments', 'income'],
        ['4200', 'Surveys for insurers', 'income'],
        ['5000', 'Castings and metal', 'expense'],
        ['5100', 'Timber and leather', 'expense'],
        ['5200', 'Gilding and dials', 'expense'],
        ['5300', 'Freight and lifting', 'expense'],
        ['1100', 'Receivables', 'asset'],
        ['2100', 'Payables', 'liability'],
        ['3000', 'Equity', 'equity'],
    ];

    private const CENTRES = [['Department', 'Clocks'], ['Department', 'Instruments'], ['Region', 'Vermont'], ['Region', 'Elsewhere']];

    private const RATES = [
        ['EUR', 430, '1.0841'],
        ['EUR', 120, '1.1012'],
        ['GBP', 430, '1.2710'],
        ['GBP', 120, '1.2983'],
        ['CHF', 430, '1.1320'],
        ['CHF', 120, '1.1544'],
        ['CAD', 430, '0.7305'],
    ];

    public function __construct(
        private KeepBookSettings $settings,
        private KeepTaxRates $taxRates,
        private KeepAccounts $accounts,
        private KeepCostCentres $costCentres,
        private KeepCurrencyRates $rates,
        private Clock $clock,
    ) {
    }

    public function seed(): void
    {
        foreach (self::ACCOUNTS as [$code, $name, $kind]) {
            $this->accounts->save(new LedgerAccount, ['code' => $code, 'name' => $name, 'kind' => $kind, 'isRetired' => false]);
        }
        foreach (self::CENTRES as [$group, $name]) {
            $this->costCentres->save(new CostCentre, ['group' => $group, 'name' => $name, 'isRetired' => false]);
        }
        foreach (self::RATES as [$currency, $days, $rate]) {
            $this->rates->save(['currency' => $currency, 'day' => $this->daysAgo($days), 'rate' => $rate]);
        }
        $this->taxRates->save(new TaxRate(), [
            'name' => 'Vermont sales tax',
            'percent' => '6',
            'side' => 'client',
            'since' => '',
            'until' => '',
            'isRetired' => false,
        ]);
        $this->taxRates->save(new TaxRate(), [
            'name' => 'Exempt',
            'percent' => '0',
            'side' => 'client',
            'since' => '',
            'until' => '',
            'isRetired' => false,
        ]);
        $this->taxRates->save(new TaxRate(), [
            'name' => 'Value added tax',
            'percent' => '19',
            'side' => 'vendor',
            'since' => '',
            'until' => '',
            'isRetired' => false,
        ]);
        $this->settings->settings([
            'ageingBy' => 'due-date',
            'warnAfter' => 30,
            'lateRate' => '9',
            'latePerMonth' => false,
            'keepsUsHolidays' => true,
        ]);
        $this->settings->defaults(Side::Client, [
            ['name' => 'treatment', 'value' => 'exclusive'], ['name' => 'tax-rate', 'value' => (string) $this->rate('Vermont sales tax')],
            ['name' => 'delivery', 'value' => 'email'], ['name' => 'credit-policy', 'value' => 'ask'],
        ]);
        $this->settings->defaults(Side::Vendor, [
            ['name' => 'treatment', 'value' => 'exclusive'],
            ['name' => 'pay-by', 'value' => 'transfer'],
        ]);
    }

    private function rate(string $name): int
    {
        return TaxRate::query()->where('name', $name)->firstOrFail()->id;
    }
}
