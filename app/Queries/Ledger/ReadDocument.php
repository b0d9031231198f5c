<?php

declare(strict_types=1);

namespace App\Queries\Ledger;

use Almanac\Calendar\Day;
use Almanac\Ledger\DocumentAct;
use Almanac\Ledger\DocumentKind;
use Almanac\Ledger\DocumentState;
use Almanac\Ledger\Totals;
use Almanac\Money\Money;
use Almanac\Terms\Shorthand;
use App\Http\Data\Ledger\DocumentData;
use App\Http\Data\Ledger\DocumentEventData;
use App\Http\Data\Ledger\DocumentLineData;
use App\Http\Data\Ledger\DocumentLinkData;
use App\Http\Data\Ledger\DocumentRowData;
use App\Http\Data\Ledger\MoneyData;
use App\Http\Data\Ledger\PartyCopyData;
use App\Http\Data\Ledger\SettlementData;
use App\Http\Data\Ledger\TotalsData;
use App\Http\Data\Terms\DiscountOfferData;
use App\Models\Document;
use App\Models\DocumentDue;
use App\Models\DocumentEvent;
use App\Models\DocumentLine;
use App\Models\Office;
use App\Models\Settlement;
use App\Support\Clock;
use App\Support\OfficeCalendar;
use App\Support\PartyCopy;

/** Reads a whole document: its lines, its chain, what settled it, and what happened to it. */
final readonly class ReadDocument
{
    public function __construct(private Clock $clock)
    {
    }

    public function handle(Document $document): DocumentData
    {
        $today = $this->clock->today();
        $document->loadMissing('party', 'lines.account', 'lines.taxRate', 'dues', 'source', 'settlements.document', 'settlements.credit', 'settlements.user', 'uses.document', 'uses.user', 'uses.credit', 'madeFromIt', 'replacedBy', 'replaces', 'events.user');
        $now = PartyCopy::of($document->party, $document->kind->side(), $today);
        $isLive = $document->state === DocumentState::Draft || $document->state->isOpen();

        return new DocumentData(
            DocumentRowData::of($document, $today),
            $document->version,
            $document->date->toIso(),
            $this->isDueByHand($document) ? (string) $document->due?->toIso() : '',
            $this->dueSentence($document),
            $document->terms,
            $document->treatment->value,
            $document->currency,
            $document->note,
            array_values($document->lines->map(fn (DocumentLine $line) => DocumentLineData::of($line, $document))->all()),
            TotalsData::of($this->totals($document)),
            ($offer = $document->discount()) === null ? null : DiscountOfferData::of($offer),
            PartyCopyData::of($document->copy),
            $isLive && $now !== $document->copy ? PartyCopyData::of($now) : null,
            $document->source === null ? null : DocumentLinkData::of($document->source),
            array_values($document->madeFromIt->map(fn (Document $made) => DocumentLinkData::of($made))->all()),
            array_values($document->settlements->concat($document->uses)->map(fn (Settlement $one) => SettlementData::of($one))->all()),
            array_values($document->events->map(fn (DocumentEvent $event) => DocumentEventData::of($event))->all()),
            $this->canBecome($document),
            DocumentAct::Revise->isAllowed($document->kind, $document->state),
            DocumentAct::Send->isAllowed($document->kind, $document->state),
            $document->valid_until?->toIso() ?? '',
            $document->valid_until?->toText() ?? '',
            $document->valid_until !== null && $document->state->isOpen() && $document->valid_until->isBefore($today),
            ($other = $document->replaces) === null ? null : DocumentLinkData::of($other),
            ($other = $document->replacedBy->first()) === null ? null : DocumentLinkData::of($other),
            $this->lateInterest($document, $today),
            $document->sent_at === null ? '' : Office::dayOf($document->sent_at),
        );
    }

    public function totals(Document $document): Totals
    {
        return Totals::of(array_values($document->lines->map(fn (DocumentLine $line) => $line->line())->all()), $document->treatment, $document->currency);
    }

    /** Interest on what is late, each part from the day it was due, as the office asks for it. */
    public static function interest(Document $document, Day $today): ?Money
    {
        $interest = Office::current()->lateInterest();
        if ($interest === null || ! $document->state->isOpen() || $document->next_due?->isBefore($today) !== true) {
            return null;
        }
        $late = $document->dues->filter(fn (DocumentDue $part) => $part->due->isBefore($today));

        return Money::sum($late->map(fn (DocumentDue $part) => $interest->on($document->money($part->open_minor), $part->due, $today)), $document->currency);
    }

    private function lateInterest(Document $document, Day $today): ?MoneyData
    {
        return $document->kind === DocumentKind::Invoice ? MoneyData::orNull(self::interest($document, $today)) : null;
    }

    private function isDueByHand(Document $document): bool
    {
        return $document->due !== null && ! $document->due->equals($this->byTerms($document)[0]);
    }

    private function dueSentence(Document $document): string
    {
        return match (true) {
            $document->due === null => '',
            $this->isDueByHand($document) => 'Set by hand.',
            default => $this->byTerms($document)[1],
        };
    }

    /** @return array{Day, string} */
    private function byTerms(Document $document): array
    {
        if ($document->terms === '') {
            return [$document->date, 'Due at once: no terms.'];
        }
        $outcome = Shorthand::read($document->terms)->applyTo($document->date, OfficeCalendar::of(Office::current()));

        return [$outcome->due(), $outcome->sentence()];
    }

    /** @return list<string> kinds that it can be turned into */
    public function canBecome(Document $document): array
    {
        $next = DocumentAct::Turn->isAllowed($document->kind, $document->state) ? $document->kind->next() : null;

        return array_values(array_map(fn (DocumentKind $kind) => $kind->value, array_filter([
            $next,
            // A quote may skip the order.
            $next === DocumentKind::Order ? DocumentKind::Invoice : null,
            DocumentAct::Credit->isAllowed($document->kind, $document->state) ? $document->kind->credit() : null,
        ])));
    }
}
