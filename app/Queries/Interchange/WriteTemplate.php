<?php

declare(strict_types=1);

namespace App\Queries\Interchange;

use Almanac\Interchange\ListFormat;
use Almanac\Interchange\PartyColumns;
use Almanac\Interchange\TableWriter;
use Almanac\Interchange\TargetColumn;
use App\Facts\Interchange\OfficeReading;

/** Writes a table of people and companies for somebody to fill in: headings, a line of help, an example of each kind. */
final readonly class WriteTemplate
{
    /** What most begin with; whatever else there is may be added under its heading. */
    private const COLUMNS = [
        'kind', 'name', 'prefix', 'given', 'middle', 'family', 'suffix', 'company', 'job-title', 'department', 'role',
        'phone', 'phone-label', 'email', 'website',
        'street', 'locality', 'region', 'postcode', 'country', 'types', 'tags', 'owner', 'source', 'language', 'birth-date',
        'client-terms', 'vendor-terms', 'tax-ein', 'tax-vat',
        'receivable', 'payable', 'balance-on', 'note',
    ];

    /** @return \Generator<int, string> */
    public function handle(ListFormat $format): \Generator
    {
        $columns = array_map(fn (string $key): TargetColumn => PartyColumns::all()[$key], self::COLUMNS);
        $own = array_values(OfficeReading::fieldNames());
        $empty = array_fill(0, count($own), '');
        $help = array_map(fn (TargetColumn $column) => $column->help, $columns);
        $examples = fn (int $of): array => array_map(fn (TargetColumn $column) => $column->examples[$of], $columns);
        // A line that begins with "# " is not read.
        /** @param  list<string>  $cells */
        $aside = fn (array $cells, string $before): array => array_values(["# $before$cells[0]", ...array_slice($cells, 1), ...$empty]);

        return TableWriter::write($format, [
            [...array_map(fn (TargetColumn $column) => $column->title, $columns), ...$own],
            $aside($help, 'Lines that begin with # are not read. Here: '),
            $aside($examples(0), 'for example: '),
            $aside($examples(1), 'for example: '),
        ]);
    }
}
