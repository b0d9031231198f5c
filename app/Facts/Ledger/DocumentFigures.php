<?php

declare(strict_types=1);

namespace App\Facts\Ledger;

use Almanac\Calendar\Day;
use Almanac\Ledger\DocumentAct;
use Almanac\Ledger\DocumentKind;
use Almanac\Ledger\Totals;
use Almanac\Money\Money;
use App\Models\Document;
use App\Models\DocumentDue;
use App\Models\DocumentLine;
use App\Models\Office;

/** What follows from a document: its sums, the interest on it, and what may be made from it. */
final class DocumentFigures
{
    public static function totals(Document $document): Totals
    {
        return Totals::of(
            array_values($document->lines->map(fn (DocumentLine $line) => $line->line())->all()),
            $document->treatment,
            $document->currency,
        );
    }

    /** Interest on what is late, each part from the day it was due, as the office asks for it; null where nothing is late. */
    public static function interest(Document $document, Day $today): ?Money
    {
        $interest = Office::current()->lateInterest();
        if ($interest === null || ! $document->state->isOpen() || $document->next_due_on?->isBefore($today) !== true) {
            return null;
        }
        $late = $document->dues->filter(fn (DocumentDue $part) => $part->due_on->isBefore($today));

        return Money::sum(
            $late->map(fn (DocumentDue $part) => $interest->on($document->money($part->open_minor), $part->due_on, $today)),
            $document->currency,
        );
    }

    /** @return list<DocumentKind> kinds that it can be turned into */
    public static function canBecome(Document $document): array
    {
        $next = DocumentAct::Turn->isAllowed($document->kind, $document->state) ? $document->kind->next() : null;

        return array_values(array_filter([
            $next,
            // A quote may skip the order.
            $next === DocumentKind::Order ? DocumentKind::Invoice : null,
            DocumentAct::Credit->isAllowed($document->kind, $document->state) ? $document->kind->credit() : null,
        ]));
    }
}
