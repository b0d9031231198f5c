<?php

declare(strict_types=1);

namespace App\Queries\Ledger;

use Almanac\Calendar\Day;
use Almanac\Ledger\Allocation as AllocationRule;
use Almanac\Ledger\EarlyPayment;
use Almanac\Money\Money;
use Almanac\Refusal;
use Almanac\Terms\Side;
use App\Http\Data\Ledger\DocumentRowData;
use App\Http\Data\Ledger\MoneyData;
use App\Http\Data\Ledger\OpenDocumentData;
use App\Http\Data\Ledger\PaymentPreviewData;
use App\Models\Document;
use App\Models\Office;
use App\Models\Party;
use App\Time\Clock;
use App\Time\TypedDates;
use App\Validation\FieldProblems;

/** Says what money of a party can be used on, proposes how, and what of it stays over. */
final readonly class PreviewPayment
{
    public function __construct(private Clock $clock, private TypedDates $dates)
    {
    }

    /**
     * @param  array{
     *     side: string, day: string, amount: string, currency: string, firstId: int|null,
     *     allocations: list<array{documentId: int, amount: string, discount: string}>|null,
     * }  $input
     */
    public function handle(Party $party, array $input): PaymentPreviewData
    {
        $today = $this->clock->today();
        $problems = new FieldProblems;
        $paidOn = $this->dates->day($input['day'], 'day', $problems) ?? $today;
        $currency = Office::current()->currencyOf($input['currency']);
        $documents = array_values(
            $party
                ->openToPay(Side::from($input['side']), $currency)
                ->orderBy('next_due_on')
                ->orderBy('dated_on')
                ->orderBy('id')
                ->get()
                ->each(fn (Document $document) => $document->setRelation('party', $party))
                ->all(),
        );
        $money = $problems->at(
            'amount',
            fn () => Money::fromTyped($input['amount'] === '' ? '0' : $input['amount'], $currency, Office::current()->decimalSign()),
        );
        $proposed = $this->proposed($documents, trim($input['amount']) === '' ? null : $money ?? Money::zero($currency), $input['firstId']);
        $used = $input['allocations'] === null ? Money::sum($proposed, $currency) : $this->used($input['allocations'], $currency);
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
    private function proposed(array $documents, ?Money $money, ?int $firstId): array
    {
        $proposed = AllocationRule::proposed($money, array_map(fn (Document $document) => $document->entry(), $documents), $firstId);

        return array_combine(array_column($proposed, 'documentId'), array_column($proposed, 'amount'));
    }

    /**
     * What cannot be read yet counts for nothing; saving tells it at its field.
     *
     * @param list<array{documentId: int, amount: string, discount: string}> $allocations
     */
    private function used(array $allocations, string $currency): Money
    {
        $sum = Money::zero($currency);
        foreach ($allocations as ['amount' => $amount]) {
            try {
                $sum = $sum->plus(Money::fromTyped($amount === '' ? '0' : $amount, $currency, Office::current()->decimalSign()));
            } catch (Refusal) {
                continue;
            }
        }

        return $sum;
    }
}
