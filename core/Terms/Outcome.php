<?php

declare(strict_types=1);

namespace Almanac\Terms;

use Almanac\Calendar\Day;
use Almanac\Money\Money;
use Almanac\Money\Percent;

/** Payment terms applied to one document: its due parts in order of the terms, and its discount. */
final readonly class Outcome
{
    /**
     * @internal made by PaymentTerms
     *
     * @param non-empty-list<DuePart> $parts
     */
    public function __construct(
        public Day $documentDate,
        public array $parts,
        public ?DiscountOffer $discount,
    ) {
    }

    /** The day by which everything is due. */
    public function due(): Day
    {
        $last = $this->parts[0]->due;
        foreach ($this->parts as $part) {
            $last = $part->due->isAfter($last) ? $part->due : $last;
        }

        return $last;
    }

    /**
     * The amount taken apart as the parts say; the amounts add up to it to the cent.
     *
     * @return non-empty-list<Money>
     */
    public function amounts(Money $total): array
    {
        return $total->split(array_map(fn (DuePart $part): Percent => $part->percent, $this->parts));
    }

    /** How every date came about, in one run of sentences. */
    public function sentence(): string
    {
        $sentences = array_map(fn (DuePart $part) => count($this->parts) === 1
            ? $part->sentence
            : $part->percent->toText().': '.$part->sentence, $this->parts);
        if ($this->discount !== null) {
            $sentences[] = $this->discount->sentence();
        }

        return implode(' ', $sentences);
    }
}
