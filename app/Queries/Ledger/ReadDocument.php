<?php

declare(strict_types=1);

namespace App\Queries\Ledger;

use Almanac\Calendar\Day;
use Almanac\Ledger\DocumentAct;
use Almanac\Ledger\DocumentKind;
use Almanac\Ledger\DocumentState;
use Almanac\Terms\Shorthand;
use App\Facts\Ledger\DocumentFigures;
use App\Facts\Ledger\PartyCopy;
use App\Http\Data\Engagements\EngagementLinkData;
use App\Http\Data\Ledger\AgainstData;
use App\Http\Data\Ledger\AllocationData;
use App\Http\Data\Ledger\DocumentData;
use App\Http\Data\Ledger\DocumentEventData;
use App\Http\Data\Ledger\DocumentLineData;
use App\Http\Data\Ledger\DocumentLinkData;
use App\Http\Data\Ledger\DocumentRowData;
use App\Http\Data\Ledger\MoneyData;
use App\Http\Data\Ledger\PartyCopyData;
use App\Http\Data\Ledger\TotalsData;
use App\Http\Data\Terms\DiscountOfferData;
use App\Models\Allocation;
use App\Models\Document;
use App\Models\DocumentEvent;
use App\Models\DocumentLine;
use App\Models\Office;
use App\Time\Clock;
use App\Time\OfficeCalendar;

/** Reads a whole document: its lines, its chain, what settled it, and what happened to it. */
final readonly class ReadDocument
{
    public function __construct(private Clock $clock)
    {
    }

    public function handle(Document $document, ?AgainstData $against = null): DocumentData
    {
        $today = $this->clock->today();
        $document->loadMissing(
            'party',
            'lines.account',
            'lines.taxRate',
            'dues',
            'source',
            'allocations.document',
            'allocations.credit',
            'allocations.user',
            'creditAllocations.document',
            'creditAllocations.user',
            'creditAllocations.credit',
            'madeFromIt',
            'replacedBy',
            'replaces',
            'events.user',
            'engagement',
        );
        $now = PartyCopy::of($document->party, $document->kind->side(), $today);
        $isLive = $document->state === DocumentState::Draft || $document->state->isOpen();

        return new DocumentData(
            DocumentRowData::of($document, $today),
            $document->version,
            $document->dated_on->toIso(),
            $this->isDueByHand($document) ? (string) $document->due_on?->toIso() : '',
            $this->dueSentence($document),
            $document->terms,
            $document->treatment->value,
            $document->currency,
            $document->note,
            EngagementLinkData::orNull($document->engagement),
            array_values($document->lines->map(fn (DocumentLine $line) => DocumentLineData::of($line, $document))->all()),
            TotalsData::of(DocumentFigures::totals($document)),
            ($offer = $document->discount()) === null ? null : DiscountOfferData::of($offer),
            PartyCopyData::of($document->copy),
            $isLive && $now !== $document->copy ? PartyCopyData::of($now) : null,
            $document->source === null ? null : DocumentLinkData::of($document->source),
            array_values($document->madeFromIt->map(fn (Document $made) => DocumentLinkData::of($made))->all()),
            array_values(
                $document->allocations->concat($document->creditAllocations)->map(fn (Allocation $one) => AllocationData::of($one))->all(),
            ),
            array_values($document->events->map(fn (DocumentEvent $event) => DocumentEventData::of($event))->all()),
            array_column(DocumentFigures::canBecome($document), 'value'),
            DocumentAct::Revise->isAllowed($document->kind, $document->state),
            DocumentAct::Send->isAllowed($document->kind, $document->state),
            $document->valid_until?->toIso() ?? '',
            $document->valid_until?->toText() ?? '',
            $document->valid_until !== null && $document->state->isOpen() && $document->valid_until->isBefore($today),
            ($other = $document->replaces) === null ? null : DocumentLinkData::of($other),
            ($other = $document->replacedBy->first()) === null ? null : DocumentLinkData::of($other),
            $this->lateInterest($document, $today),
            $document->sent_at === null ? '' : Office::dayOf($document->sent_at),
            $against,
        );
    }

    private function lateInterest(Document $document, Day $today): ?MoneyData
    {
        return $document->kind === DocumentKind::Invoice ? MoneyData::orNull(DocumentFigures::interest($document, $today)) : null;
    }

    private function isDueByHand(Document $document): bool
    {
        return $document->due_on !== null && ! $document->due_on->equals($this->byTerms($document)[0]);
    }

    private function dueSentence(Document $document): string
    {
        return match (true) {
            $document->due_on === null => '',
            $this->isDueByHand($document) => 'Set by hand.',
            default => $this->byTerms($document)[1],
        };
    }

    /** @return array{Day, string} */
    private function byTerms(Document $document): array
    {
        if ($document->terms === '') {
            return [$document->dated_on, 'Due at once: no terms.'];
        }
        $outcome = Shorthand::read($document->terms)->applyTo($document->dated_on, OfficeCalendar::of(Office::current()));

        return [$outcome->due(), $outcome->sentence()];
    }
}
