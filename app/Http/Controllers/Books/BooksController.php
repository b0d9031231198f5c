<?php

declare(strict_types=1);

namespace App\Http\Controllers\Books;

use Almanac\Terms\Side;
use App\Actions\Books\KeepAccounts;
use App\Actions\Books\KeepBookSettings;
use App\Actions\Books\KeepCostCentres;
use App\Actions\Books\KeepCurrencyRates;
use App\Actions\Books\KeepHolidays;
use App\Actions\Books\KeepTaxRates;
use App\Http\OpenApi\Adds;
use App\Http\OpenApi\Puts;
use App\Http\OpenApi\Reads;
use App\Http\OpenApi\Removes;
use App\Http\Requests\Books\AccountRequest;
use App\Http\Requests\Books\BooksRequest;
use App\Http\Requests\Books\CostCentreRequest;
use App\Http\Requests\Books\CurrencyRateRequest;
use App\Http\Requests\Books\SideDefaultsRequest;
use App\Http\Requests\Books\TaxRateRequest;
use App\Http\Requests\Books\TextRequest;
use App\Models\CostCentre;
use App\Models\CurrencyRate;
use App\Models\LedgerAccount;
use App\Models\TaxRate;
use App\Queries\Books\ReadBooks;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** What the office has set for its books; every change answers with all of it. */
final readonly class BooksController
{
    public function __construct(
        private KeepBookSettings $settings,
        private KeepTaxRates $taxRates,
        private KeepAccounts $accounts,
        private KeepCostCentres $costCentres,
        private KeepCurrencyRates $rates,
        private KeepHolidays $holidays,
        private ReadBooks $read,
    ) {
    }

    #[Reads('books', 'readBooks', 'What the office has set for its books', 'Books', 'Books')]
    public function index(): JsonResponse
    {
        return new JsonResponse($this->read->handle());
    }

    #[Puts('books', 'saveBooks', 'Say how the office counts', 'BooksInput', 'Books', 'Books')]
    public function settings(BooksRequest $request): JsonResponse
    {
        /** @var array{ageingBy: string, warnAfter: int, lateRate: string, latePerMonth: bool, keepsUsHolidays: bool} $input */
        $input = $request->validated();
        $this->settings->settings($input);

        return $this->index();
    }

    #[Puts('books/defaults', 'saveDefaults', 'Say what records inherit from the office', 'SideDefaultsInput', 'Books', 'Books')]
    public function defaults(SideDefaultsRequest $request): JsonResponse
    {
        /** @var list<array{name: string, value: string|null}> $fields */
        $fields = $request->validated('fields');
        $this->settings->defaults(Side::from($request->string('side')->toString()), $fields);

        return $this->index();
    }

    #[Adds('tax-rates', 'addTaxRate', 'Add a rate of tax', 'TaxRateInput', 'Books', 'Books')]
    public function addTaxRate(TaxRateRequest $request): JsonResponse
    {
        return $this->taxRate($request, new TaxRate);
    }

    #[Puts('tax-rates/{taxRate}', 'saveTaxRate', 'Change a rate of tax', 'TaxRateInput', 'Books', 'Books')]
    public function taxRate(TaxRateRequest $request, TaxRate $taxRate): JsonResponse
    {
        /** @var array{name: string, percent: string, side: string, since: string, until: string, isRetired: bool} $input */
        $input = $request->validated();

        return $this->saved($request, fn () => $this->taxRates->save($taxRate, $input));
    }

    #[Adds('accounts', 'addAccount', 'Add to the chart of accounts', 'AccountInput', 'Books', 'Books')]
    public function addAccount(AccountRequest $request): JsonResponse
    {
        return $this->account($request, new LedgerAccount);
    }

    #[Puts('accounts/{account}', 'saveAccount', 'Change an account', 'AccountInput', 'Books', 'Books')]
    public function account(AccountRequest $request, LedgerAccount $account): JsonResponse
    {
        /** @var array{code: string, name: string, kind: string, isRetired: bool} $input */
        $input = $request->validated();

        return $this->saved($request, fn () => $this->accounts->save($account, $input));
    }

    #[Adds('accounts/file', 'readAccounts', 'Read a chart of accounts from CSV', 'TextInput', 'Books', 'Books')]
    public function readAccounts(TextRequest $request): JsonResponse
    {
        return $this->saved($request, fn () => $this->accounts->read($request->string('text')->toString()));
    }

    #[Reads('accounts/file', 'writeAccounts', 'The chart of accounts as CSV', '', 'Books')]
    public function writeAccounts(): Response
    {
        return new Response($this->accounts->write(), 200, [
            'Content-Type' => 'text/csv; charset=UTF-8',
            'Content-Disposition' => 'attachment; filename="accounts.csv"',
        ]);
    }

    #[Adds('cost-centres', 'addCostCentre', 'Add a cost centre', 'CostCentreInput', 'Books', 'Books')]
    public function addCostCentre(CostCentreRequest $request): JsonResponse
    {
        return $this->costCentre($request, new CostCentre);
    }

    #[Puts('cost-centres/{costCentre}', 'saveCostCentre', 'Change a cost centre', 'CostCentreInput', 'Books', 'Books')]
    public function costCentre(CostCentreRequest $request, CostCentre $costCentre): JsonResponse
    {
        /** @var array{group: string, name: string, isRetired: bool} $input */
        $input = $request->validated();

        return $this->saved($request, fn () => $this->costCentres->save($costCentre, $input));
    }

    #[Adds('currency-rates', 'addCurrencyRate', 'Say what a currency is worth from a day on', 'CurrencyRateInput', 'Books', 'Books')]
    public function addRate(CurrencyRateRequest $request): JsonResponse
    {
        /** @var array{currency: string, day: string, rate: string} $input */
        $input = $request->validated();

        return $this->saved($request, fn () => $this->rates->save($input));
    }

    #[Removes('currency-rates/{currencyRate}', 'removeCurrencyRate', 'Remove a rate that no document needs', '', 'Books', 'Books')]
    public function removeRate(CurrencyRate $currencyRate): JsonResponse
    {
        $this->rates->remove($currencyRate);

        return $this->index();
    }

    #[Adds('holidays', 'readHolidays', 'Read holidays from an iCalendar file', 'TextInput', 'Books', 'Books')]
    public function readHolidays(TextRequest $request): JsonResponse
    {
        return $this->saved($request, fn () => $this->holidays->read($request->string('text')->toString()));
    }

    #[Removes('holidays', 'forgetHolidays', 'Forget the holidays that were read in', '', 'Books', 'Books')]
    public function forgetHolidays(): JsonResponse
    {
        $this->holidays->forget();

        return $this->index();
    }

    /** @param  \Closure(): mixed  $save */
    private function saved(FormRequest $request, \Closure $save): JsonResponse
    {
        $save();

        return new JsonResponse($this->read->handle(), $request->isMethod('POST') ? 201 : 200);
    }
}
