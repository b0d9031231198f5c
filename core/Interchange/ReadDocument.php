<?php

declare(strict_types=1);

namespace Almanac\Interchange;

use Almanac\Calendar\Day;
use Almanac\Ledger\DocumentKind;
use Almanac\Ledger\Line;
use Almanac\Ledger\TaxTreatment;
use Almanac\Ledger\Totals;

/** A document as it was read from a file, and how the other side is named in it. */
final readonly class ReadDocument
{
    /**
     * @param list<string> $partyNumbers by which the other side may be known: numbers of ours, tax numbers
     * @param non-empty-list<Line> $lines
     */
    public function __construct(
        public DocumentKind $kind,
        public string $number,
        public Day $date,
        public ?Day $due,
        public string $currency,
        public string $partyName,
        public array $partyNumbers,
        public string $reference,
        public TaxTreatment $treatment,
        public array $lines,
        /** Shorthand; empty for those that are set for the party. */
        public string $terms = '',
    ) {
    }

    public function totals(): Totals
    {
        return Totals::of($this->lines, $this->treatment, $this->currency);
    }
}
