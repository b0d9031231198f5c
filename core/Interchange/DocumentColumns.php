<?php

declare(strict_types=1);

namespace Almanac\Interchange;

/** The columns of a table of documents: what they can be, and what they are by their headings. */
final class DocumentColumns
{
    private const MUST_HAVE = ['kind', 'number', 'party', 'date', 'amount'];

    private const MAY_HAVE = ['party-number', 'due', 'currency', 'tax', 'text', 'quantity', 'reference', 'terms'];

    /** What else the columns are called; common practice, no published source. */
    private const ALSO = [
        'kind' => ['type', 'document type', 'document kind', 'transaction type'],
        'number' => ['document number', 'invoice number', 'bill number', 'invoice no', 'no', 'document no'],
        'party' => ['client', 'customer', 'vendor', 'supplier', 'client name', 'customer name', 'vendor name', 'name'],
        'party-number' => [
            'client number', 'customer number', 'vendor number', 'supplier number', 'client no', 'customer no', 'vendor no', 'account number',
            'client id', 'customer id', 'vendor id', 'vat number', 'tax number',
        ],
        'date' => ['document date', 'invoice date', 'bill date', 'dated'],
        'amount' => ['price', 'net', 'net amount', 'unit price', 'rate'],
        'due' => ['due date', 'due on'],
        'currency' => ['currency code'],
        'tax' => ['tax rate', 'tax percent', 'vat rate', 'tax %'],
        'text' => ['description', 'line', 'item', 'memo'],
        'quantity' => ['qty'],
        'reference' => ['po number', 'their reference', 'ref', 'purchase order'],
        'terms' => ['payment terms'],
    ];

    /** What somebody can say that a column is. */
    private const TITLES = [
        'kind' => 'Kind of document', 'number' => 'Number', 'party' => 'Client or vendor',
        'party-number' => 'Number of the client or vendor', 'date' => 'Date',
        'amount' => 'Amount', 'due' => 'Due',
        'currency' => 'Currency', 'tax' => 'Tax, per cent', 'text' => 'What for', 'quantity' => 'Quantity',
        'reference' => 'Their reference', 'terms' => 'Payment terms',
    ];

    /**
     * Whether a first line names the columns of documents rather than those of people and companies.
     *
     * @param list<string> $cells
     */
    public static function isNamedBy(array $cells): bool
    {
        $columns = self::places($cells);

        return isset($columns['kind'], $columns['number'], $columns['date'], $columns['amount']);
    }

    /** @return array<string, string> what a column can be, with its title */
    public static function targets(): array
    {
        return self::TITLES;
    }

    /**
     * @param list<string> $headings
     *
     * @return list<string> what each column is; empty where the heading does not tell
     */
    public static function guess(array $headings): array
    {
        $named = array_flip(self::places($headings));

        return array_map(fn (int $at) => $named[$at] ?? '', array_keys($headings));
    }

    /**
     * What is in the way of reading a file so; empty where nothing is.
     *
     * @param list<string> $targets
     */
    public static function problem(array $targets): string
    {
        $said = array_filter($targets, fn (string $one) => $one !== '');
        $twice = array_keys(array_filter(array_count_values($said), fn (int $times) => $times > 1));
        $missing = array_diff(self::MUST_HAVE, $said);

        return match (true) {
            array_diff($said, array_keys(self::TITLES)) !== [] => 'One of the columns is said to be something that is no longer there. Choose again.',
            $twice !== [] => 'Two columns are said to be “'.self::TITLES[$twice[0]].'”. Leave one of them out.',
            $missing !== [] => 'Say which column is: '.implode(
                ', ',
                array_map(fn (string $one) => mb_strtolower(self::TITLES[$one]), $missing),
            ).'.',
            default => '',
        };
    }

    /**
     * Where each column is, by the first line.
     *
     * @param list<string> $cells
     *
     * @return array<string, int>
     */
    private static function places(array $cells): array
    {
        $named = array_map(TargetColumn::plain(...), $cells);
        $places = [];
        foreach ([...self::MUST_HAVE, ...self::MAY_HAVE] as $name) {
            foreach ([$name, ...self::ALSO[$name]] as $heading) {
                $place = array_search($heading, $named, true);
                if ($place !== false && ! in_array($place, $places, true)) {
                    $places[$name] = $place;
                    break;
                }
            }
        }

        return $places;
    }
}
