<?php

declare(strict_types=1);

namespace App\Queries\Ledger;

use Almanac\Calendar\Day;
use Almanac\Interchange\CsvTable;
use Almanac\Ledger\Ageing;
use Almanac\Ledger\DocumentKind;
use Almanac\Ledger\Side;
use Almanac\Ledger\Statement;
use Almanac\Money\Money;
use Almanac\Records\Period;
use App\Http\Data\Ledger\AgeingBucketData;
use App\Http\Data\Ledger\DocumentRowData;
use App\Http\Data\Ledger\MoneyData;
use App\Http\Data\Ledger\StatementData;
use App\Http\Data\Ledger\StatementLineData;
use App\Models\Document;
use App\Models\Office;
use App\Models\Party;
use App\Models\Payment;
use App\Models\Settlement;
use App\Papers\ReminderSheet;
use App\Papers\StatementSheet;
use App\Queries\Records\ReadLetter;
use App\Support\Clock;
use App\Support\FieldProblems;
use App\Support\PartyCopy;
use App\Support\TypedDates;
use Illuminate\Validation\ValidationException;

/** Reads a party's statement of account, and writes it on paper or as a table; and the letter that reminds of what is late. */
final readonly class ReadStatement
{
    public function __construct(private Clock $clock, private TypedDates $dates, private ReadLetter $letters)
    {
    }

    /** @throws ValidationException when the days cannot be read, or are the wrong way round */
    public function handle(Party $party, Side $side, string $currency, string $from, string $to): StatementData
    {
        $problems = new FieldProblems;
        $since = $this->dates->day($from, 'from', $problems);
        $until = $this->dates->day($to, 'to', $problems) ?? $this->clock->today();
        $period = $problems->at('to', fn () => Period::of($since, $until));
        $currency = (string) $problems->at('currency', fn () => Money::zero($currency)->currency);
        $problems->throwIfAny();
        $today = $this->clock->today();
        $statement = Statement::of($this->movements($party, $side, $currency), $since, $until, $currency);
        $open = $party->documents()->open()->where('currency', $currency)->whereIn('kind', DocumentKind::counted($side))->with('dues')->orderByRaw('next_due is null')->orderBy('next_due')->orderBy('id')->get()
            ->each(fn (Document $document) => $document->setRelation('party', $party));
        $entries = array_merge([], ...$open->map(fn (Document $document) => $document->entries())->all());
        $by = Office::current()->ageing_by;
        $ageing = Ageing::of($entries, $today, $by, $currency);

        return new StatementData(
            $currency,
            $period?->toText() ?? '',
            $until->toText(),
            MoneyData::of($statement->opening),
            array_map(fn (array $line) => new StatementLineData($line[0]->toText(), $line[1], MoneyData::of($line[2]), MoneyData::of($line[3])), $statement->lines),
            MoneyData::of($statement->closing),
            array_values($open->map(fn (Document $document) => DocumentRowData::of($document, $today))->all()),
            AgeingBucketData::all($ageing, $by),
        );
    }

    /** @param  \Closure(int): void|null  $tell how many lines are written */
    public function pdf(Party $party, Side $side, StatementData $statement, ?\Closure $tell = null): string
    {
        return StatementSheet::pdf($statement, $this->address($party, $side), $tell);
    }

    public function csv(StatementData $statement): string
    {
        return CsvTable::write([
            ['day', 'what', 'change', 'balance'],
            ['', 'Balance before', '', $statement->opening->amount],
            ...array_map(fn (StatementLineData $line) => [$line->dayText, $line->what, $line->amount->amount, $line->balance->amount], $statement->lines),
            [$statement->toText, 'Balance', '', $statement->closing->amount],
        ]);
    }

    /**
     * The letter that asks for what is late, with interest where the office asks for it.
     *
     * @throws ValidationException when nothing is late
     */
    public function reminder(Party $party): string
    {
        $today = $this->clock->today();
        $filter = new LedgerFilter(['state' => 'overdue', 'side' => Side::Client->value], $today);
        $late = Document::query()->where('party_id', $party->id)->tap($filter->documents(...))->select('documents.*')->selectRaw($filter->partColumns())->with('dues')->orderBy('next_due')->orderBy('id')->get()
            ->each(fn (Document $document) => $document->setRelation('party', $party));
        if ($late->isEmpty()) {
            throw ValidationException::withMessages(['late' => 'Nothing is late: there is nothing to remind them of.']);
        }
        $rows = $sums = [];
        foreach ($late as $document) {
            $interest = ReadDocument::interest($document, $today);
            $zero = Money::zero($document->currency);
            $rows[] = [DocumentRowData::of($document, $today), $interest];
            $sum = $sums[$document->currency] ?? ['open' => $zero, 'interest' => $zero, 'unused' => $this->unused($party, $document->currency, $today)];
            $sums[$document->currency] = ['open' => $sum['open']->plus($document->money($document->partInList()[0] ?? 0)), 'interest' => $sum['interest']->plus($interest ?? $zero), 'unused' => $sum['unused']];
        }
        $salutation = $this->letters->handle($party->loadMissing('addressUses.address', 'heldPositions.company'), $today)->salutation ?? 'To whom it may concern:';

        return ReminderSheet::pdf($this->address($party, Side::Client), $salutation, $today, $rows, $sums, Office::current()->lateInterest() !== null);
    }

    /** Money and credits of theirs that nothing is settled by yet. */
    private function unused(Party $party, string $currency, Day $today): Money
    {
        foreach (PartyBooks::ofMany([$party->id], $today)[$party->id] ?? [] as $standing) {
            if ($standing->side === Side::Client && $standing->currency === $currency) {
                return $standing->unallocated->plus($standing->credits);
            }
        }

        return Money::zero($currency);
    }

    /** @return list<array{Day, string, Money}> what raises the balance above zero, and what lowers it below */
    private function movements(Party $party, Side $side, string $currency): array
    {
        $movements = [];
        foreach ($party->documents()->issued()->where('currency', $currency)->whereIn('kind', DocumentKind::counted($side))->orderBy('id')->get() as $document) {
            $movements[] = [$document->date, $document->title(), $document->kind->isCredit() ? $document->total()->negated() : $document->total()];
        }
        foreach (Payment::query()->where('party_id', $party->id)->where('side', $side)->where('currency', $currency)->where('is_void', false)->orderBy('id')->get() as $payment) {
            $movements[] = [$payment->day, trim('Payment by '.$payment->pay_by->words(Office::current()->country).' '.$payment->reference), $payment->amount()->negated()];
        }
        $let = Settlement::query()->whereIn('kind', [Settlement::DISCOUNT, Settlement::WRITE_OFF])->with('document')
            ->whereHas('document', fn ($documents) => $documents->where('party_id', $party->id)->where('currency', $currency)->whereIn('kind', DocumentKind::counted($side)))->orderBy('id')->get();
        foreach ($let as $settlement) {
            $movements[] = [$settlement->day, ($settlement->kind === Settlement::DISCOUNT ? 'Discount on ' : 'Written off of ').$settlement->document->title(), $settlement->document->money(-$settlement->amount_minor)];
        }

        return $movements;
    }

    /** @return list<string> */
    private function address(Party $party, Side $side): array
    {
        $copy = PartyCopy::of($party, $side, $this->clock->today());

        return $copy['address'] === [] ? [$copy['name']] : $copy['address'];
    }
}
