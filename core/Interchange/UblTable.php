<?php

declare(strict_types=1);

namespace Almanac\Interchange;

/** An invoice in UBL as a table of its lines, with the columns of a table of documents. */
final class UblTable
{
    /** What its columns are, by heading. */
    private const COLUMNS = [
        'Kind of document' => 'kind', 'Number' => 'number', 'From' => 'party', 'Their numbers' => 'party-number', 'Date' => 'date',
        'Due' => 'due', 'Currency' => 'currency', 'Their reference' => 'reference', 'What for' => 'text', 'Quantity' => 'quantity',
        'Price' => 'amount', 'Tax, per cent' => 'tax',
    ];

    /** @return list<string> */
    public static function targets(): array
    {
        return array_values(self::COLUMNS);
    }

    /**
     * @return \Generator<int, list<string>> first the headings, then a row for each line of the invoice
     *
     * @throws InterchangeRefused when it is not well formed, no invoice, lacks something, or does not add up
     */
    public static function rows(string $xml): \Generator
    {
        yield 0 => array_keys(self::COLUMNS);
        $read = UblInvoice::read($xml);
        foreach ($read->lines as $at => $line) {
            yield $at + 1 => [
                $read->kind->title(), $read->number, $read->partyName, implode("\n", $read->partyNumbers), $read->date->toIso(),
                $read->due?->toIso() ?? '', $read->currency, $read->reference, $line->text, (string) $line->quantity,
                (string) $line->price, (string) $line->tax,
            ];
        }
    }
}
