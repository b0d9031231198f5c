<?php

declare(strict_types=1);

namespace App\Facts\Ledger;

use Almanac\Calendar\Day;
use Almanac\Ledger\Ageing;
use Almanac\Ledger\DocumentKind;
use Almanac\Ledger\Statement;
use Almanac\Money\Money;
use Almanac\Records\Period;
use Almanac\Terms\Side;
use App\Models\Allocation;
use App\Models\Document;
use App\Models\Office;
use App\Models\Party;
use App\Models\Payment;
use App\Time\Clock;
use App\Time\TypedDates;
use App\Validation\FieldProblems;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Validation\ValidationException;

/** Reads the statement of account of a party from the books. */
final readonly class AccountStatements
{
    public function __construct(private Clock $clock, private TypedDates $dates)
    {
    }

    /** @throws ValidationException when the days cannot be read, or are the wrong way round */
    public function of(Party $party, Side $side, string $currency, string $from, string $to): AccountStatement
    {
        [$period, $until, $currency] = $this->asked($currency, $from, $to);
        $open = $party
            ->documents()
            ->open()
            ->where('currency', $currency)
            ->whereIn('kind', DocumentKind::counted($side))
            ->with('dues')
            ->orderByRaw('next_due_on is null')
            ->orderBy('next_due_on')
            ->orderBy('id')
            ->get()
            ->each(fn (Document $document) => $document->setRelation('party', $party));
        $entries = array_merge([], ...$open->map(fn (Document $document) => $document->entries())->all());

        return new AccountStatement(
            $currency,
            $period,
            $until,
            Statement::of($this->movements($party, $side, $currency), $period->since, $until, $currency),
            $open,
            Ageing::of($entries, $this->clock->today(), Office::current()->ageing_by, $currency),
        );
    }

    /**
     * How many lines it would have, without reading them.
     *
     * @throws ValidationException when the days cannot be read, or are the wrong way round
     */
    public function count(Party $party, Side $side, string $currency, string $from, string $to): int
    {
        [$period, $until, $currency] = $this->asked($currency, $from, $to);
        $lines = 0;
        $movements = [
            'dated_on' => $this->documents($party, $side, $currency),
            'paid_on' => $this->payments($party, $side, $currency),
            'allocated_on' => $this->let($party, $side, $currency),
        ];
        foreach ($movements as $day => $query) {
            $lines += $query->toBase()
                ->where($day, '<=', $until->toIso())
                ->when($period->since !== null, fn ($later) => $later->where($day, '>=', $period->since?->toIso()))
                ->count();
        }

        return $lines;
    }

    /**
     * @return array{Period, Day, string} the period, its last day, and the currency
     *
     * @throws ValidationException when one of them cannot be read
     */
    private function asked(string $currency, string $from, string $to): array
    {
        $problems = new FieldProblems;
        $since = $this->dates->day($from, 'from', $problems);
        $until = $this->dates->day($to, 'to', $problems) ?? $this->clock->today();
        $period = $problems->at('to', fn () => Period::of($since, $until));
        $currency = (string) $problems->at('currency', fn () => Money::zero($currency)->currency);
        $problems->throwIfAny();

        return [$period ?? throw new \LogicException('What was not refused is there.'), $until, $currency];
    }

    /** @return list<array{Day, string, Money}> what raises the balance above zero, and what lowers it below */
    private function movements(Party $party, Side $side, string $currency): array
    {
        $movements = [];
        foreach ($this->documents($party, $side, $currency)->orderBy('id')->get() as $document) {
            $movements[] = [
                $document->dated_on,
                $document->title(),
                $document->kind->isCredit() ? $document->total()->negated() : $document->total(),
            ];
        }
        foreach ($this->payments($party, $side, $currency)->orderBy('id')->get() as $payment) {
            $movements[] = [
                $payment->paid_on,
                trim('Payment by '.$payment->pay_by->titleIn(Office::current()->country).' '.$payment->reference),
                $payment->amount()->negated(),
            ];
        }
        foreach ($this->let($party, $side, $currency)->with('document')->orderBy('id')->get() as $allocation) {
            $movements[] = [
                $allocation->allocated_on,
                ($allocation->kind === Allocation::DISCOUNT ? 'Discount on ' : 'Written off of ').$allocation->document->title(),
                $allocation->document->money(-$allocation->amount_minor),
            ];
        }

        return $movements;
    }

    /** @return Builder<Document> */
    private function documents(Party $party, Side $side, string $currency): Builder
    {
        return Document::query()
            ->where('party_id', $party->id)
            ->issued()
            ->where('currency', $currency)
            ->whereIn('kind', DocumentKind::counted($side));
    }

    /** @return Builder<Payment> */
    private function payments(Party $party, Side $side, string $currency): Builder
    {
        return Payment::query()->where('party_id', $party->id)->where('side', $side)->where('currency', $currency)->where('is_void', false);
    }

    /** @return Builder<Allocation> what was let go of them: discounts and write-offs */
    private function let(Party $party, Side $side, string $currency): Builder
    {
        return Allocation::query()
            ->whereIn('kind', [Allocation::DISCOUNT, Allocation::WRITE_OFF])
            ->whereHas(
                'document',
                fn ($documents) => $documents
                    ->where('party_id', $party->id)
                    ->where('currency', $currency)
                    ->whereIn('kind', DocumentKind::counted($side)),
            );
    }
}
