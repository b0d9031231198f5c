<?php

declare(strict_types=1);

namespace App\Queries\Ledger;

use Almanac\Interchange\ReadDocument as FileDocument;
use Almanac\Interchange\UblInvoice;
use Almanac\Ledger\Line;
use Almanac\Ledger\Side;
use Almanac\Ledger\TaxTreatment;
use Almanac\Money\Percent;
use App\Models\Document;
use App\Models\DocumentLine;
use App\Models\Office;
use App\Papers\DocumentSheet;
use Brick\Math\BigDecimal;

/** Writes a document for others: on paper, or as an e-invoice. */
final readonly class DocumentPaper
{
    public function __construct(private ReadDocument $read)
    {
    }

    public function pdf(Document $document): string
    {
        return DocumentSheet::pdf($document->loadMissing('lines', 'dues', 'source'), $this->read->totals($document));
    }

    /** As UBL 2.1; amounts that include the tax are told without it, a line a rate. */
    public function ubl(Document $document): string
    {
        $office = Office::current();
        $totals = $this->read->totals($document);
        $lines = $document->treatment === TaxTreatment::Inclusive
            ? array_map(fn ($group) => Line::of('Taxed at '.$group->rate->toText(), BigDecimal::one(), BigDecimal::of($group->taxable->toDecimal()), Percent::of(0), $group->rate), $totals->groups)
            : array_values($document->lines->map(fn (DocumentLine $line) => $document->treatment === TaxTreatment::None
                ? Line::of($line->text, BigDecimal::of($line->quantity), BigDecimal::of($line->price), Percent::of($line->discount), Percent::of(0))
                : $line->line())->all());
        $ours = ['name' => $office->name, 'taxNumber' => '', 'country' => $office->country];
        $theirs = ['name' => $document->copy['name'], 'taxNumber' => $document->copy['taxNumber'], 'country' => $document->party->addressUses->first()?->address->country ?? $office->country];

        return UblInvoice::write(
            new FileDocument($document->kind, $document->number ?? '', $document->date, $document->due, $document->currency, $document->copy['name'], [], $document->reference, TaxTreatment::Exclusive, $lines === [] ? throw new \LogicException('A document has lines.') : $lines),
            ...($document->kind->side() === Side::Client ? [$ours, $theirs] : [$theirs, $ours]),
        );
    }
}
