<?php

declare(strict_types=1);

namespace App\Papers;

use Almanac\Ledger\DocumentKind;
use Almanac\Ledger\TaxGroup;
use Almanac\Ledger\Totals;
use Almanac\Terms\Side;
use App\Models\Document;
use App\Models\DocumentDue;
use App\Models\DocumentLine;
use App\Models\Office;

/** A document on paper. */
final class DocumentSheet
{
    public static function pdf(Document $document, Totals $totals): string
    {
        $office = Office::current();
        $sheet = new PaperSheet($office, $document->title());
        $copy = $document->copy;
        $sheet->address(
            $copy['address'] === [] ? [$copy['name']] : $copy['address'],
            $copy['taxNumber'] === '' ? '' : 'VAT '.$copy['taxNumber'],
        );
        $sheet->heading($document->title());
        $isClient = $document->kind->side() === Side::Client;
        $ours = trim(
            ($document->number ?? '').
                ($document->source === null
                    ? ''
                    : ', from '.mb_strtolower($document->source->kind->title()).' '.$document->source->number),
            ', ',
        );
        $sheet->facts([
            'Date' => $document->dated_on->toText(),
            'Due' => $document->due_on?->toTextWithWeekday() ?? '',
            'Valid until' => $document->valid_until?->toText() ?? '',
            'Your reference' => $isClient ? $document->reference : '',
            'Our reference' => $isClient || $document->kind === DocumentKind::PurchaseOrder
                    ? trim($ours.($isClient || $document->reference === '' ? '' : ' / '.$document->reference), ' /')
                    : $document->reference,
        ]);
        self::lines($sheet, $document, $totals);
        foreach (self::terms($document) as $sentence) {
            $sheet->text($sentence);
        }
        if ($isClient && $document->kind->isOwed() && trim((string) $office->how_to_pay) !== '') {
            $sheet->space();
            $sheet->text('How to pay us', 8.5, [89, 98, 108]);
            $sheet->text((string) $office->how_to_pay);
            $sheet->text('Please give '.($document->number ?? 'the number of this invoice').' as the reference.');
        }
        if ($document->note !== '') {
            $sheet->space();
            $sheet->text($document->note);
        }

        return $sheet->content();
    }

    private static function lines(PaperSheet $sheet, Document $document, Totals $totals): void
    {
        $hasDiscount = $document->lines->contains(fn (DocumentLine $line) => $line->discount !== '0');
        $columns = [
            ['For', 0.0, false],
            ['Quantity', 20.0, true],
            ['Price', 28.0, true],
            ...$hasDiscount ? [['Discount', 18.0, true]] : [],
            ['Tax', 16.0, true],
            [$document->currency, 30.0, true],
        ];
        $blank = array_fill(0, count($columns) - 2, '');
        $sum = fn (string $name, string $figure): array => [$name, ...$blank, $figure];
        $sheet->table(
            $columns,
            $document->lines
                ->map(
                    fn (DocumentLine $line) => [
                        $line->text,
                        $line->quantity,
                        $line->line()->priceText($document->currency),
                        ...$hasDiscount ? [$line->discount === '0' ? '' : $line->discount.'%'] : [],
                        $line->tax === '0' ? '' : $line->tax.'%',
                        $document->money($line->amount_minor)->figures(),
                    ],
                )
                ->all(),
            [
                ...($totals->tax->isZero() ? [] : [$sum('Without tax', $totals->net->figures())]),
                ...array_map(
                    fn (TaxGroup $group) => $sum('Tax '.$group->rate->toText().' on '.$group->taxable->figures(), $group->tax->figures()),
                    array_values(array_filter($totals->groups, fn (TaxGroup $group) => ! $group->rate->isZero())),
                ),
                $sum('Total, '.$document->currency, $totals->gross->figures()),
            ],
        );
    }

    /** @return list<string> when to pay, in which parts, and what is saved by paying early */
    private static function terms(Document $document): array
    {
        if (! $document->kind->isOwed() || $document->due_on === null || $document->kind->isTheirs()) {
            return [];
        }
        $terms = $document->terms === '' ? '' : " (terms: {$document->terms})";
        $sentences =
            $document->dues->count() < 2
                ? ["Please pay {$document->total()->toText()} by {$document->due_on->toTextWithWeekday()}$terms."]
                : [
                    'Please pay in parts'.
                    $terms.
                    ': '.
                    implode(
                        ', ',
                        $document->dues
                            ->map(
                                fn (DocumentDue $part) => $document->money($part->amount_minor)->toText().
                                    ' by '.
                                    $part->due_on->toTextWithWeekday(),
                            )
                            ->all(),
                    ).
                    '.',
                ];
        $offer = $document->discount();
        if ($offer !== null) {
            $off = $document->total()->percentage($offer->percent);
            $sentences[] = "Pay by {$offer->lastDay->toTextWithWeekday()} and take {$offer->percent->toText()} off: {$document->total()->minus(
                $off,
            )->toText()}.";
        }

        return $sentences;
    }
}
