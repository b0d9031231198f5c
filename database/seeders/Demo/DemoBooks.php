<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use Almanac\Banking\BankState;
use Almanac\Banking\Confirmation;
use Almanac\Ledger\DocumentKind;
use Almanac\Ledger\DocumentState;
use Almanac\Records\SectionName;
use Almanac\Terms\Side;
use App\Actions\Banking\KeepBankDetails;
use App\Actions\Books\KeepAccounts;
use App\Actions\Books\KeepBookSettings;
use App\Actions\Books\KeepCostCentres;
use App\Actions\Books\KeepCurrencyRates;
use App\Actions\Books\KeepTaxRates;
use App\Actions\Ledger\IssueDocument;
use App\Actions\Ledger\OpenBalance;
use App\Actions\Ledger\TakePayment;
use App\Actions\Ledger\TurnDocument;
use App\Actions\Ledger\WriteDocument;
use App\Actions\Records\SaveSection;
use App\Actions\Records\TaxNumbersSection;
use App\Actions\Records\TermsSection;
use App\Facts\Records\SectionVersions;
use App\Models\BankDetail;
use App\Models\CostCentre;
use App\Models\Document;
use App\Models\LedgerAccount;
use App\Models\Party;
use App\Models\TaxNumber;
use App\Models\TaxRate;
use App\Models\User;
use App\Queries\Ledger\ReadDefaults;
use App\Time\Clock;

/** Fills the books of the demo office: fourteen months of documents and money. Everything is made up. */
final readonly class DemoBooks
{
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

    /**
     * Record, every how many days, from which day back, the text, the price of the first, how much more each,
     * account, paid after so many days.
     */
    private const INVOICES = [
        ['observatory', 29, 410, 'Transit telescope: restoration, monthly part', '2400', 50, '4100', 26],
        ['town', 31, 405, 'Town hall clock: winding and care', '385', 5, '4000', 44],
        ['parish', 47, 390, 'Tower clock and chimes: repair', '1250', 40, '4000', 38],
        ['insurer', 41, 398, 'Flooded barometers: survey and report', '1875', 120, '4200', 81],
        ['edith', 92, 380, 'Wheel barometer: mercury tube and dial', '690', 15, '4100', 12],
        ['courier', 120, 300, 'Office regulator clock: service', '240', 10, '4000', 51],
    ];

    private const BILLS = [
        ['foundry', 33, 400, 'Brass castings', '1480', 25, '5000', 15, 'check'],
        ['timber', 52, 395, 'Quartered oak', '620', 12, '5100', 16, 'cheque'],
        ['courier', 28, 402, 'Carriage of instruments', '145', 4, '5300', 47, 'direct-debit'],
        ['isolde', 61, 380, 'Gilding of hands and numerals', '880', 30, '5200', 3, 'transfer'],
        ['regula', 88, 370, 'Dial painting', '1150', 40, '5200', 33, 'transfer'],
        ['bellfounder', 110, 350, 'Bell recast', '2300', 90, '5000', 40, 'transfer'],
        ['gearcutter', 75, 360, 'Wheels and pinions, cut', '940', 20, '5000', 29, 'transfer'],
        ['leather', 96, 355, 'Bellows leather', '310', 8, '5100', 28, 'card'],
    ];

    public function __construct(
        private KeepBookSettings $settings,
        private KeepTaxRates $taxRates,
        private KeepAccounts $accounts,
        private KeepCostCentres $costCentres,
        private KeepCurrencyRates $rates,
        private KeepBankDetails $bank,
        private WriteDocument $write,
        private IssueDocument $issue,
        private TakePayment $take,
        private OpenBalance $open,
        private TurnDocument $turn,
        private SaveSection $save,
        private TaxNumbersSection $taxNumbers,
        private ReadDefaults $defaults,
        private Clock $clock,
    ) {
    }

    /**
     * @param array<string, Party> $parties by the name in DemoRecords
     * @param list<User> $users
     */
    public function seed(array $parties, array $users): void
    {
        $this->settings();
        $this->sides($parties, $users);
        $this->bankDetails($parties, $users);
        $this->forms($parties, $users[0]);
        $this->open->handle(
            $parties['parish'],
            ['side' => 'client', 'amount' => '420', 'currency' => 'USD', 'asOf' => $this->daysAgo(425)],
            $users[0],
        );
        $this->invoices($parties, $users);
        $this->bills($parties, $users);
        $this->others($parties, $users);
    }

    private function settings(): void
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

    /**
     * @param array<string, Party> $parties
     * @param list<User> $users
     */
    private function sides(array $parties, array $users): void
    {
        $exempt = (string) $this->rate('Exempt');
        foreach ([
            ['town', 'client', ['tax-rate' => $exempt, 'reference' => 'PO 88-214', 'delivery' => 'post']],
            ['parish', 'client', ['tax-rate' => $exempt, 'delivery' => 'post']],
            ['observatory', 'client', ['limit' => '12000', 'send-to' => 'Accounts, South Dome']],
            ['insurer', 'client', ['limit' => '6000', 'credit-policy' => 'ask', 'delivery' => 'portal']],
            ['edith', 'client', ['limit' => '1500', 'discount' => '5']],
            ['foundry', 'vendor', ['account-number' => '7714', 'pay-by' => 'cheque', 'limit' => '8000']],
            ['gearcutter', 'vendor', ['account-number' => 'K-3308', 'currency' => 'EUR']],
            ['regula', 'vendor', ['currency' => 'CHF']],
            ['bellfounder', 'vendor', ['currency' => 'GBP', 'account-number' => 'ORR-12']],
            ['leather', 'vendor', ['currency' => 'CAD', 'pay-by' => 'card']],
            ['courier', 'vendor', ['pay-by' => 'direct-debit', 'account-number' => 'OV-5520']],
        ] as [$key, $side, $fields]) {
            $party = $parties[$key];
            $kept = $party->fresh(['clientTerms', 'vendorTerms']);
            $terms = $side === 'client' ? $kept?->clientTerms : $kept?->vendorTerms;
            $section = $side === 'client' ? TermsSection::whenWeBillThem() : TermsSection::whenWePayThem();
            $this->save->handle(
                $section,
                $party,
                [
                    'listedId' => $terms?->payment_terms_id,
                    'shorthand' => $terms?->shorthand,
                    'fields' => array_map(
                        fn (string $name, string $value) => ['name' => $name, 'value' => $value],
                        array_keys($fields),
                        $fields,
                    ),
                ],
                SectionVersions::of($party, $section->name()),
                $users[0],
            );
        }
    }

    /**
     * Published test numbers, all of them.
     *
     * @param array<string, Party> $parties
     * @param list<User> $users
     */
    private function bankDetails(array $parties, array $users): void
    {
        $blank = ['iban' => '', 'bic' => '', 'routing' => '', 'sortCode' => '', 'account' => '', 'use' => 'checking', 'bankName' => ''];
        foreach (
            [
                [
                    'gearcutter',
                    [
                        'kind' => 'iban',
                        'iban' => 'DE89 3704 0044 0532 0130 00',
                        'bic' => 'COBADEFFXXX',
                        'holder' => 'Zahnrad Lindqvist GmbH',
                    ],
                ],
                ['regula', ['kind' => 'iban', 'iban' => 'CH93 0076 2011 6238 5295 7', 'holder' => 'Regula']],
                [
                    'bellfounder',
                    [
                        'kind' => 'uk',
                        'sortCode' => '20-00-00',
                        'account' => '55779911',
                        'holder' => 'Tarn & Whitlow Bellfounders Ltd',
                    ],
                ],
                ['isolde', ['kind' => 'us', 'routing' => '123456780', 'account' => '000123456789', 'holder' => 'Quill Gilding']],
            ] as [$key, $input]
        ) {
            $this->bank->add($parties[$key], $input + $blank, $users[1]);
            $this->bank->confirm($this->held($parties[$key]), Confirmation::Call, $users[2]);
        }
        // A change that waits to be confirmed.
        $this->bank->add(
            $parties['foundry'],
            ['kind' => 'us', 'routing' => '011399991', 'account' => '1111222233330000', 'holder' => 'Brass Lantern Foundry LLC'] +
                $blank,
            $users[1],
        );
        $this->bank->addCard(
            $parties['edith'],
            [
                'number' => '4111 1111 1111 1111',
                'expires' => substr($this->clock->today()->plusMonths(16)->toIso(), 5, 2).
                    '/'.
                    substr($this->clock->today()->plusMonths(16)->toIso(), 0, 4),
                'holder' => 'Edith',
                'postcode' => '05301',
            ],
            $users[0],
        );
    }

    /** @param  array<string, Party>  $parties */
    private function forms(array $parties, User $by): void
    {
        foreach ([['foundry', 'Silas Wren'], ['isolde', '']] as [$key, $signed]) {
            $party = $parties[$key];
            $this->save->handle(
                $this->taxNumbers,
                $party,
                [
                    'taxNumbers' => array_values(
                        $party
                            ->taxNumbers()
                            ->get()
                            ->map(
                                fn (TaxNumber $number) => [
                                    'id' => $number->id,
                                    'kind' => $number->kind->value,
                                    'country' => $number->country,
                                    'value' => null,
                                ],
                            )
                            ->all(),
                    ),
                    'formOn' => $signed === '' ? '' : $this->daysAgo(290),
                    'formBy' => $signed,
                    'formFileId' => null,
                    'reportChoice' => 'by-rule',
                    'isAttorney' => false,
                ],
                SectionVersions::of($party, SectionName::TaxNumbers),
                $by,
            );
        }
    }

    /**
     * @param array<string, Party> $parties
     * @param list<User> $users
     */
    private function invoices(array $parties, array $users): void
    {
        foreach (self::INVOICES as $at => [$key, $every, $from, $text, $price, $more, $account, $lag]) {
            for ($day = $from, $n = 0; $day > 3; $day -= $every, $n++) {
                $document = $this->document(
                    $parties[$key],
                    DocumentKind::Invoice,
                    $day,
                    $text,
                    (string) ((int) $price + $n * $more),
                    $account,
                    $users[$at % 2],
                );
                // The insurer takes ever longer, the rest are steady; what is young is still open.
                $paidAfter = $lag + ($n * 7) % 9 + ($key === 'insurer' ? 6 * $n : 0);
                if ($paidAfter < $day) {
                    $this->pay($document, Side::Client, $day - $paidAfter, 'transfer', $users[1]);
                }
            }
        }
    }

    /**
     * @param array<string, Party> $parties
     * @param list<User> $users
     */
    private function bills(array $parties, array $users): void
    {
        foreach (self::BILLS as $at => [$key, $every, $from, $text, $price, $more, $account, $lag, $by]) {
            for ($day = $from, $n = 0; $day > 2; $day -= $every, $n++) {
                $document = $this->document(
                    $parties[$key],
                    DocumentKind::Bill,
                    $day,
                    $text,
                    (string) ((int) $price + $n * $more),
                    $account,
                    $users[$at % 2],
                    sprintf('%s-%d', strtoupper(substr($key, 0, 2)), 1040 + 13 * $n),
                );
                if ($lag + ($n % 3) < $day) {
                    $this->pay($document, Side::Vendor, $day - $lag - ($n % 3), $by === 'check' ? 'cheque' : $by, $users[1]);
                }
            }
        }
    }

    /**
     * The rest of what a ledger holds: a chain, a credit, a part payment, money on account, a draft.
     *
     * @param array<string, Party> $parties
     * @param list<User> $users
     */
    private function others(array $parties, array $users): void
    {
        $quote = $this->document(
            $parties['town'],
            DocumentKind::Quote,
            40,
            'Town hall clock: new escapement, as surveyed',
            '4850',
            '4000',
            $users[0],
        );
        $order = $this->turn->handle($quote, DocumentKind::Order, false, $users[0]);
        $this->issue->issue($order, true, $users[0]);
        $this->document($parties['observatory'], DocumentKind::Quote, 9, 'Sidereal clock: survey and estimate', '960', '4100', $users[1]);
        $this->document($parties['foundry'], DocumentKind::PurchaseOrder, 6, 'Bell frame castings', '2250', '5000', $users[1]);
        $last = Document::query()
            ->where('party_id', $parties['observatory']->id)
            ->where('kind', DocumentKind::Invoice)
            ->open()
            ->orderByDesc('id')
            ->firstOrFail();
        $credit = $this->turn->handle($last, DocumentKind::CreditNote, false, $users[0]);
        $this->write->change(
            $credit,
            $this->input(
                $parties['observatory'],
                DocumentKind::CreditNote,
                4,
                'Eyepiece supplied by the observatory itself',
                '180',
                '4100',
            ) + ['version' => $credit->version],
        );
        $this->issue->issue($credit, true, $users[0]);
        $this->take->take(
            $parties['insurer'],
            [
                'side' => 'client',
                'day' => $this->daysAgo(8),
                'amount' => '900',
                'currency' => 'USD',
                'payBy' => 'transfer',
                'reference' => 'Claim HM-2207, on account',
                'allocations' => [],
            ],
            $users[1],
        );
        $this->write->add(
            $parties['edith'],
            DocumentKind::Invoice,
            $this->input($parties['edith'], DocumentKind::Invoice, 0, 'Stick barometer: new cistern', '310', '4100'),
            $users[1],
        );
    }

    private function document(
        Party $party,
        DocumentKind $kind,
        int $daysAgo,
        string $text,
        string $price,
        string $account,
        User $by,
        string $number = '',
    ): Document {
        $document = $this->write->add($party, $kind, $this->input($party, $kind, $daysAgo, $text, $price, $account, $number), $by);
        $this->issue->issue($document, true, $by);

        return $document;
    }

    /**
     * @return array{
     *     date: string, due: string, terms: string, treatment: string, currency: string, number: string, reference: string,
     *     note: string,
     *     lines: list<array{
     *         text: string, quantity: string, price: string, discount: string, taxRateId: int|null, accountId: int|null,
     *         costCentreIds: list<int>,
     *     }>,
     * }
     */
    private function input(
        Party $party,
        DocumentKind $kind,
        int $daysAgo,
        string $text,
        string $price,
        string $account,
        string $number = '',
    ): array {
        $defaults = $this->defaults->handle($party, $kind);

        return [
            'date' => $this->daysAgo($daysAgo),
            'due' => '',
            'terms' => $kind->isCredit() ? '' : $defaults->terms,
            'treatment' => $defaults->treatment,
            'currency' => $defaults->currency,
            'number' => $number,
            'reference' => $defaults->reference,
            'note' => '',
            'lines' => [
                [
                    'text' => $text,
                    'quantity' => '1',
                    'price' => $price,
                    'discount' => $defaults->discount,
                    'taxRateId' => $defaults->taxRateId,
                    'accountId' => LedgerAccount::query()->where('code', $account)->value('id'),
                    'costCentreIds' => [],
                ],
            ],
        ];
    }

    private function pay(Document $document, Side $side, int $daysAgo, string $by, User $user): void
    {
        $document->refresh();
        if ($document->state === DocumentState::Settled) {
            return;
        }
        $this->take->take(
            $document->party,
            [
                'side' => $side->value,
                'day' => $this->daysAgo($daysAgo),
                'amount' => $document->open()->toDecimal(),
                'currency' => $document->currency,
                'payBy' => $by,
                'reference' => (string) $document->number,
                'allocations' => [['documentId' => $document->id, 'amount' => $document->open()->toDecimal(), 'discount' => '']],
            ],
            $user,
        );
    }

    private function held(Party $party): BankDetail
    {
        return $party->bankDetails()->where('state', BankState::OnHold)->firstOrFail();
    }

    private function rate(string $name): int
    {
        return TaxRate::query()->where('name', $name)->firstOrFail()->id;
    }

    private function daysAgo(int $days): string
    {
        return $this->clock->today()->plusDays(-$days)->toIso();
    }
}
