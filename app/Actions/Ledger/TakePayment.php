<?php

declare(strict_types=1);

namespace App\Actions\Ledger;

use Almanac\Banking\AccountKind;
use Almanac\Banking\BankingRefused;
use Almanac\Banking\PayBy;
use Almanac\Calendar\Day;
use Almanac\Ledger\Allocation as AllocationRule;
use Almanac\Ledger\DocumentAct;
use Almanac\Ledger\DocumentState;
use Almanac\Ledger\EarlyPayment;
use Almanac\Ledger\LedgerRefused;
use Almanac\Money\Money;
use Almanac\Names\NamePart;
use Almanac\Records\Wording;
use Almanac\Terms\Side;
use Almanac\Terms\SideField;
use App\Facts\Banking\WaysToPay;
use App\Facts\Terms\SideDefaults;
use App\Models\Allocation;
use App\Models\BankDetail;
use App\Models\Document;
use App\Models\Office;
use App\Models\Party;
use App\Models\Payment;
use App\Models\User;
use App\Time\Clock;
use App\Time\TypedDates;
use App\Validation\FieldProblems;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/**
 * Takes in money that came or went, and allocates it to documents; the rest stays unallocated.
 *
 * @phpstan-type AllocationInput array{documentId: int, amount: string, discount: string}
 */
final readonly class TakePayment
{
    private const LONGEST_REASON = 300;

    public function __construct(
        private TypedDates $dates,
        private SettleDocument $settle,
        private KeepStandings $standings,
        private NoteEvent $note,
        private Clock $clock,
    ) {
    }

    /**
     * @param array{
     *     side: string, day: string, amount: string, currency: string, payBy: string, reference: string,
     *     bankDetailId?: int|null, firstId?: int|null, engagementId?: int|null, allocations: list<AllocationInput>|null,
     * } $input without allocations, what is proposed: the document it came for, then the oldest first
     *
     * @throws ValidationException with each refusal at its field
     */
    public function take(Party $party, array $input, User $by): Payment
    {
        return DB::transaction(function () use ($party, $input, $by): Payment {
            $problems = new FieldProblems;
            $side = Side::from($input['side']);
            $payBy = PayBy::from($input['payBy']);
            $day = $this->dates->day($input['day'] === '' ? 'today' : $input['day'], 'day', $problems);
            if ($day?->isAfter($this->clock->today())) {
                $problems->add('day', 'That day is still to come. Money is entered when it has passed.');
            }
            $currency = Office::current()->currencyOf($input['currency']);
            $typed = trim($input['amount']) === '' ? null : $problems->at('amount', fn () => $this->amount($input['amount'], $currency));
            $allocations = $input['allocations'] ?? $this->proposed($party, $side, $typed, $currency, $input['firstId'] ?? null);
            $amount = trim($input['amount']) === '' ? $problems->at('amount', fn () => $this->sumOf($allocations, $currency)) : $typed;
            $reference = $problems->at('reference', fn () => NamePart::tidy($input['reference']));
            $account = $problems->at(
                'payBy',
                fn () => $this->account($party, $side, $payBy, $input['bankDetailId'] ?? null, $amount->currency ?? ''),
            );
            $engagementId = $problems->at('engagementId', fn () => ForEngagement::read($input['engagementId'] ?? null, null));
            $problems->throwIfAny();
            if ($amount === null || $day === null) {
                throw new \LogicException('What was not refused is there.');
            }
            $payment = Payment::query()->create([
                'party_id' => $party->id,
                'side' => $side,
                'paid_on' => $day,
                'currency' => $amount->currency,
                'amount_minor' => $amount->minor,
                'unallocated_minor' => $amount->minor,
                'pay_by' => $payBy,
                'reference' => (string) $reference,
                'user_id' => $by->id,
                'created_at' => $this->clock->now(),
                'bank_detail_id' => $account?->id,
                'engagement_id' => $engagementId,
                'account_number' => $side === Side::Vendor
                    ? SideDefaults::of($party, $side, $this->clock->today())->text(SideField::AccountNumber)
                    : '',
            ]);
            $this->allocateTo($payment, $allocations, $day, $by);
            ForEngagement::follow($payment);

            return $payment;
        });
    }

    /**
     * Allocations what is left of it on documents.
     *
     * @param list<AllocationInput> $allocations
     *
     * @throws ValidationException with each refusal at its field
     */
    public function allocate(Payment $payment, array $allocations, User $by): void
    {
        DB::transaction(function () use ($payment, $allocations, $by): void {
            $payment->refresh();
            if ($payment->is_void) {
                throw LedgerRefused::voidPayment();
            }
            $this->allocateTo($payment, $allocations, $payment->paid_on, $by);
        });
    }

    /**
     * Allocations what is left of a credit on documents.
     *
     * @param list<AllocationInput> $allocations
     *
     * @throws ValidationException with each refusal at its field
     */
    public function allocateCredit(Document $credit, array $allocations, User $by): void
    {
        DB::transaction(function () use ($credit, $allocations, $by): void {
            $credit->refresh();
            DocumentAct::Allocate->mustBeAllowed($credit->kind, $credit->state);
            $this->eachAllocation($allocations, $credit->party_id, $credit->kind->side(), $credit->open(), function (
                Document $document,
                Money $part,
            ) use ($credit, $by): void {
                $this->settle->handle($document, Allocation::CREDIT, $part, $this->clock->today(), $by, $credit);
                $credit->setOpen($credit->open()->minus($part), $this->clock->today());
                $credit->saveWithDues();
            });
            $this->standings->refresh($credit->party_id);
        });
    }

    /** Makes it as if it had not come: all that it settled is open again. */
    public function void(Payment $payment, string $reason, User $by): void
    {
        DB::transaction(function () use ($payment, $reason, $by): void {
            $payment->refresh();
            if ($payment->is_void) {
                throw LedgerRefused::voidPayment();
            }
            $reason = Wording::line($reason, self::LONGEST_REASON, 'Say why it is void.');
            foreach ($payment->allocations()->with('document', 'payment', 'credit')->get() as $allocation) {
                $this->note->handle($allocation->document, 'payment of '.$payment->amount()->toText().' voided: '.$reason, $by);
                $this->settle->takeBack($allocation, $this->clock->today());
            }
            $payment->refresh()->fill(['is_void' => true, 'void_reason' => $reason, 'unallocated_minor' => 0])->save();
            $this->standings->refresh($payment->party_id);
        });
    }

    /** Takes back one use of money or a credit, a discount, or a write-off. */
    public function takeBack(Allocation $allocation, User $by): void
    {
        DB::transaction(function () use ($allocation, $by): void {
            $document = $allocation->document;
            $this->settle->takeBack($allocation, $this->clock->today());
            $this->note->handle(
                $document,
                $allocation->kind.' of '.$document->money($allocation->amount_minor)->toText().' taken back',
                $by,
            );
            $this->standings->refresh($document->party_id);
        });
    }

    /** Lets the rest of a document go, for a reason. */
    public function writeOff(Document $document, string $amount, string $reason, User $by): void
    {
        DB::transaction(function () use ($document, $amount, $reason, $by): void {
            $document->refresh();
            $problems = new FieldProblems();
            $part = $problems->at(
                'amount',
                fn () => trim($amount) === '' ? $document->open() : $this->amount($amount, $document->currency),
            );
            $why = $problems->at('reason', fn () => Wording::line($reason, self::LONGEST_REASON, 'Say why it is written off.'));
            $problems->throwIfAny();
            $problems->at(
                'amount',
                fn () => $this->settle->handle(
                    $document,
                    Allocation::WRITE_OFF,
                    $part ?? $document->open(),
                    $this->clock->today(),
                    $by,
                    null,
                    (string) $why,
                ),
            );
            $problems->throwIfAny();
            $this->note->handle($document, ($part?->toText() ?? '').' written off: '.$why, $by);
            $this->standings->refresh($document->party_id);
        });
    }

    /** @param  list<AllocationInput>  $allocations */
    private function allocateTo(Payment $payment, array $allocations, Day $on, User $by): void
    {
        $this->eachAllocation($allocations, $payment->party_id, $payment->side, $payment->unallocated(), function (
            Document $document,
            Money $part,
            ?Money $discount,
        ) use ($payment, $on, $by): void {
            if ($discount !== null) {
                EarlyPayment::mustAllow($discount, $document->entry(), $document->discount(), $on);
                $this->settle->handle($document, Allocation::DISCOUNT, $discount, $on, $by, $payment);
            }
            if (! $part->isZero()) {
                $this->settle->handle($document, Allocation::PAYMENT, $part, $on, $by, $payment);
                $payment->unallocated_minor -= $part->minor;
            }
        });
        $payment->save();
        $this->standings->refresh($payment->party_id);
    }

    /**
     * @param list<AllocationInput> $allocations
     * @param \Closure(Document, Money, Money|null): void $do
     */
    private function eachAllocation(array $allocations, int $partyId, Side $side, Money $available, \Closure $do): void
    {
        $problems = new FieldProblems;
        $sum = Money::zero($available->currency);
        foreach ($allocations as $at => $use) {
            $document = Document::query()->where('party_id', $partyId)->find($use['documentId']);
            if (
                $document === null ||
                $document->kind->side() !== $side ||
                ! $document->kind->isOwed() ||
                $document->state === DocumentState::Void
            ) {
                $problems->add("allocations.$at.amount", 'That document can no longer be settled.');

                continue;
            }
            $problems->at("allocations.$at.amount", function () use ($document, $use, $do, &$sum): void {
                $part = Money::fromTyped(
                    $use['amount'] === '' ? '0' : $use['amount'],
                    $document->currency,
                    Office::current()->decimalSign(),
                );
                $discount = trim($use['discount']) === '' ? null : $this->amount($use['discount'], $document->currency);
                $sum = $sum->plus($part);
                $do($document, $part, $discount);
            });
        }
        if ($sum->minus($available)->minor > 0) {
            $problems->add('allocations', LedgerRefused::moreThanThereIs($sum->toText(), $available->toText())->getMessage());
        }
        $problems->throwIfAny();
    }

    private function amount(string $typed, string $currency): Money
    {
        $amount = Money::fromTyped($typed, $currency, Office::current()->decimalSign());

        return $amount->minor > 0 ? $amount : throw LedgerRefused::notPositive();
    }

    /** @return list<AllocationInput> */
    private function proposed(Party $party, Side $side, ?Money $money, string $currency, ?int $firstId): array
    {
        $open = $party->openToPay($side, $currency)->get();

        return array_map(
            fn (AllocationRule $one) => [
                'documentId' => $one->documentId,
                'amount' => Office::current()->decimalSign()->write($one->amount->toDecimal()),
                'discount' => '',
            ],
            AllocationRule::proposed($money, array_values($open->map(fn (Document $document) => $document->entry())->all()), $firstId),
        );
    }

    /**
     * What is used in all, where no amount is typed. What cannot be read of it is refused at its field.
     *
     * @param list<AllocationInput> $allocations
     */
    private function sumOf(array $allocations, string $currency): Money
    {
        $sum = Money::zero($currency);
        foreach ($allocations as ['amount' => $part]) {
            $sum = trim($part) === '' ? $sum : $sum->plus(Money::fromTyped($part, $sum->currency, Office::current()->decimalSign()));
        }

        return $sum->minor > 0 ? $sum : throw LedgerRefused::notPositive();
    }

    /**
     * To which account a transfer goes.
     *
     * @throws BankingRefused when no money may go to them in that way, or the account is not in force
     */
    private function account(Party $party, Side $side, PayBy $payBy, ?int $wanted, string $currency): ?BankDetail
    {
        if ($side === Side::Client) {
            return null;
        }
        $ways = WaysToPay::of($party, $this->clock->today());
        $ways->way->mustBeOpen($payBy);
        if ($payBy !== PayBy::Transfer) {
            return null;
        }

        return $wanted === null
            ? $ways->accounts->firstWhere('kind', AccountKind::usualFor($currency)->value) ?? $ways->accounts->first()
            : $ways->accounts->find($wanted) ?? throw BankingRefused::notInForce();
    }
}
