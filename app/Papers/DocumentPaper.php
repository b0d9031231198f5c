<?php

declare(strict_types=1);

namespace App\Papers;

use Almanac\Interchange\ReadDocument as FileDocument;
use Almanac\Interchange\UblInvoice;
use Almanac\Ledger\Line;
use Almanac\Ledger\TaxTreatment;
use Almanac\Money\Percent;
use Almanac\Terms\Side;
use App\Facts\Ledger\DocumentFigures;
use App\Models\Document;
use App\Models\DocumentLine;
use App\Models\Office;
use Brick\Math\BigDecimal;

/** Writes a document for others: on paper, or as an e-invoice. */
final readonly class DocumentPaper
{
    public function pdf(Document $document): string
    {
        return DocumentSheet::pdf($document->loadMissing('lines', 'dues', 'source'), DocumentFigures::totals($document));
    }

    /** As UBL 2.1; amounts that include the tax are told without it, a line a rate. */
    public function ubl(Document $document): string
    {
        $office = Office::current();
        $totals = DocumentFigures::totals($document);
        $lines =
            $document->treatment === TaxTreatment::Inclusive
                ? array_map(
                    fn ($group) => Line::of(
                        'Taxed at '.$group->rate->toText(),
                        BigDecimal::one(),
                        BigDecimal::of($group->taxable->toDecimal()),
                        Percent::none(),
                        $group->rate,
                    ),
                    $totals->groups,
                )
                : array_values(
                    $document->lines
                        ->map(
                            fn (DocumentLine $line) => $document->treatment === TaxTreatment::None
                                ? Line::of(
                                    $line->text,
                                    BigDecimal::of($line->quantity),
                                    BigDecimal::of($line->price),
                                    Percent::of($line->discount),
                                    Percent::none(),
                                )
                                : $line->line(),
                        )
                        ->all(),
                );
        $ours = ['name' => $office->name, 'taxNumber' => '', 'country' => $office->country];
        $theirs = [
            'name' => $document->copy['name'],
            'taxNumber' => $document->copy['taxNumber'],
            'country' => $document->party->countryOn($document->dated_on) ?? $office->country,
        ];

        return UblInvoice::write(
            new FileDocument(
                $document->kind,
                $document->number ?? '',
                $document->dated_on,
                $document->due_on,
                $document->currency,
                $document->copy['name'],
                [],
                $document->reference,
                TaxTreatment::Exclusive,
                $lines === [] ? throw new \LogicException('A document has lines.') : $lines,
            ),
            ...$document->kind->side() === Side::Client ? [$ours, $theirs] : [$theirs, $ours],
        );
    }
}
