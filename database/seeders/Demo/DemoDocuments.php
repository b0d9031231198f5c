<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use Almanac\Ledger\DocumentKind;
use Almanac\Ledger\DocumentState;
use Almanac\Terms\Side;
use App\Actions\Ledger\IssueDocument;
use App\Actions\Ledger\OpenBalance;
use App\Actions\Ledger\TakePayment;
use App\Actions\Ledger\TurnDocument;
use App\Actions\Ledger\WriteDocument;
use App\Models\Document;
use App\Models\LedgerAccount;
use App\Models\Party;
use App\Models\User;
use App\Queries\Ledger\ReadDefaults;
use App\Time\Clock;

/** Fourteen months of documents and money of the demo office. */
final readonly class DemoDocuments
{
    use TellsDaysAgo;

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
        private WriteDocument $write,
        private IssueDocument $issue,
        private TakePayment $take,
        private OpenBalance $open,
        private TurnDocument $turn,
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
        $this->open->handle(
            $parties['parish'],
            ['side' => 'client', 'amount' => '420', 'currency' => 'USD', 'asOf' => $this->daysAgo(425)],
            $users[0],
        );
        $this->invoices($parties, $users);
        $this->bills($parties, $users);
        $this->others($parties, $users);
        $this->neighbours($parties, $users);
    }

    /**
     * What comes and goes now and then, all of it paid.
     *
     * @param array<string, Party> $parties
     * @param list<User> $users
     */
    private function neighbours(array $parties, array $users): void
    {
        foreach (DemoNeighbours::DOCUMENTS as $at => [$key, $kind, $day, $text, $price, $account, $number]) {
            $kind = DocumentKind::from($kind);
            $document = $this->document($parties[$key], $kind, $day, $text, $price, $account, $users[$at % 2], $number);
            $this->pay($document, $kind->side(), $day - 9 - $at % 14, $kind->side() === Side::Client ? 'transfer' : 'cheque', $users[1]);
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
        $defaults = $this->defaults->handle($party, $kind, null);

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
}
