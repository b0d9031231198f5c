<?php

declare(strict_types=1);

namespace App\Queries\Ledger;

use Almanac\Ledger\Allocation;
use Almanac\Ledger\DocumentKind;
use Almanac\Ledger\EarlyPayment;
use Almanac\Ledger\Side;
use Almanac\Money\Money;
use Almanac\Refusal;
use App\Http\Data\Ledger\DocumentRowData;
use App\Http\Data\Ledger\MoneyData;
use App\Http\Data\Ledger\OpenDocumentData;
use App\Models\Document;
use App\Models\Office;
use App\Models\Party;
use App\Support\Clock;
use App\Support\FieldProblems;
use App\Support\TypedDates;

/** Reads what money of a party can be used on, the oldest first, and proposes how. */
final readonly class ListOpen
{
    public function __construct(private Clock $clock, private TypedDates $dates)
    {
    }

    /** @return list<OpenDocumentData> */
    public function handle(Party $party, Side $side, string $day, string $currency, string $amount): array
    {
        $today = $this->clock->today();
        $problems = new FieldProblems;
        $paidOn = $this->dates->day($day, 'day', $problems) ?? $today;
        $currency = $currency === '' ? Office::current()->currency() : mb_strtoupper($currency);
        $documents = $party->documents()->open()->where('currency', $currency)
            ->whereIn('kind', DocumentKind::owed($side))
            ->orderBy('next_due')->orderBy('date')->orderBy('id')->get()->each(fn (Document $document) => $document->setRelation('party', $party));
        try {
            $money = Money::fromTyped($amount === '' ? '0' : $amount, $currency);
        } catch (Refusal) {
            $money = null;
        }
        $proposed = [];
        foreach ($money === null ? [] : Allocation::oldestFirst($money, array_values($documents->map(fn (Document $document) => $document->entry())->all())) as $allocation) {
            $proposed[$allocation->documentId] = $allocation->amount->toDecimal();
        }

        return array_values($documents->map(fn (Document $document) => new OpenDocumentData(
            DocumentRowData::of($document, $today),
            MoneyData::orNull(EarlyPayment::discount($document->entry(), $document->discount(), $paidOn)),
            $proposed[$document->id] ?? '',
        ))->all());
    }
}
