<?php

declare(strict_types=1);

namespace App\Queries\Ledger;

use Almanac\Calendar\Day;
use Almanac\Ledger\Allocation;
use Almanac\Ledger\DocumentKind;
use Almanac\Ledger\EarlyPayment;
use Almanac\Ledger\Side;
use Almanac\Money\Money;
use Almanac\Refusal;
use App\Http\Data\Ledger\DocumentRowData;
use App\Http\Data\Ledger\MoneyData;
use App\Http\Data\Ledger\OpenDocumentData;
use App\Http\Data\Ledger\PaymentPreviewData;
use App\Models\Document;
use App\Models\Office;
use App\Models\Party;
use App\Support\Clock;
use App\Support\FieldProblems;
use App\Support\TypedDates;

/** Says what money of a party can be used on, proposes how, and what of it stays over. */
final readonly class PreviewPayment
{
    public function __construct(private Clock $clock, private TypedDates $dates)
    {
    }

    /** @param  array{side: string, day: string, amount: string, currency: string, firstId: int|null, uses: list<array{documentId: int, amount: string, discount: string}>|null}  $input */
    public function handle(Party $party, array $input): PaymentPreviewData
    {
        $today = $this->clock->today();
        $problems = new FieldProblems;
        $paidOn = $this->dates->day($input['day'], 'day', $problems) ?? $today;
        $currency = $input['currency'] === '' ? Office::current()->currency() : mb_strtoupper($input['currency']);
        $documents = array_values($party->documents()->open()->where('currency', $currency)
            ->whereIn('kind', DocumentKind::owed(Side::from($input['side'])))
            ->orderBy('next_due')->orderBy('date')->orderBy('id')->get()->each(fn (Document $document) => $document->setRelation('party', $party))->all());
        $money = $problems->at('amount', fn () => Money::fromTyped($input['amount'] === '' ? '0' : $input['amount'], $currency, Office::current()->decimalSign()));
        $proposed = $this->proposed($documents, $money ?? Money::zero($currency), $input['amount'] === '', $input['firstId']);
        $used = $input['uses'] === null ? Money::sum($proposed, $currency) : $this->used($input['uses'], $currency);
        $left = $money?->minus($used);

        return new PaymentPreviewData(
            array_map(fn (Document $document) => $this->open($document, $proposed[$document->id] ?? null, $paidOn), $documents),
            MoneyData::of($used),
            MoneyData::orNull($left?->isNegative() === true ? $left->negated() : $left),
            $left?->isNegative() ?? false,
        );
    }

    private function open(Document $document, ?Money $proposed, Day $paidOn): OpenDocumentData
    {
        $discount = EarlyPayment::discount($document->entry(), $document->discount(), $paidOn);

        return new OpenDocumentData(
            DocumentRowData::of($document, $this->clock->today()),
            MoneyData::orNull($discount),
            MoneyData::orNull($discount === null ? null : $document->open()->minus($discount)),
            $proposed === null ? '' : Office::current()->decimalSign()->write($proposed->toDecimal()),
        );
    }

    /**
     * @param list<Document> $documents
     *
     * @return array<int, Money> by document
     */
    private function proposed(array $documents, Money $money, bool $isOpenEnded, ?int $firstId): array
    {
        $proposed = [];
        foreach ($documents as $document) {
            if ($document->id === $firstId) {
                $proposed[$firstId] = $isOpenEnded ? $document->open() : $money->atMost($document->open());
            }
        }
        if (! $isOpenEnded) {
            $rest = $money->minus(Money::sum($proposed, $money->currency));
            $others = array_filter($documents, fn (Document $document) => $document->id !== $firstId);
            foreach (Allocation::oldestFirst($rest, array_values(array_map(fn (Document $document) => $document->entry(), $others))) as $allocation) {
                $proposed[$allocation->documentId] = $allocation->amount;
            }
        }

        return $proposed;
    }

    /**
     * What cannot be read yet counts for nothing; saving tells it at its field.
     *
     * @param list<array{documentId: int, amount: string, discount: string}> $uses
     */
    private function used(array $uses, string $currency): Money
    {
        $sum = Money::zero($currency);
        foreach ($uses as ['amount' => $amount]) {
            try {
                $sum = $sum->plus(Money::fromTyped($amount === '' ? '0' : $amount, $currency, Office::current()->decimalSign()));
            } catch (Refusal) {
                continue;
            }
        }

        return $sum;
    }
}
