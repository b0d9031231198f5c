<?php

declare(strict_types=1);

namespace Almanac\Ledger;

use Almanac\Calendar\BusinessCalendar;
use Almanac\Calendar\Day;
use Almanac\Money\Money;
use Almanac\Terms\DiscountOffer;
use Almanac\Terms\PaymentTerms;

/**
 * When a document is due, in which parts, and the discount it gives: the one way to it, whoever
 * writes the document and from wherever it comes.
 */
final readonly class Dues
{
    /** @param  list<array{Day, Money}>  $parts that add up to the document, the earliest first */
    private function __construct(public string $terms, public array $parts, public ?DiscountOffer $discount)
    {
    }

    /**
     * @param Day|null $byHand a day set by hand is one for all of it; the discount stays as the terms have it
     *
     * @throws LedgerRefused when it would be due before its date
     */
    public static function of(
        DocumentKind $kind,
        Money $total,
        Day $date,
        ?Day $byHand,
        ?PaymentTerms $terms,
        BusinessCalendar $calendar,
    ): self {
        if ($byHand?->isBefore($date) === true) {
            throw LedgerRefused::dueBeforeDate($byHand->toText(), $date->toText());
        }
        $shorthand = $kind->isOwed() || $kind->isPromise() ? $terms?->toShorthand() ?? '' : '';
        if (! $kind->isOwed()) {
            return new self($shorthand, [], null);
        }
        $outcome = $terms?->applyTo($date, $calendar);
        $parts = [];
        if ($byHand !== null || $outcome === null) {
            $parts[] = [$byHand ?? $date, $total];
        } else {
            foreach ($outcome->amounts($total) as $at => $amount) {
                $parts[] = [$outcome->parts[$at]->due, $amount];
            }
        }
        usort($parts, fn (array $one, array $other) => $one[0]->number <=> $other[0]->number);

        return new self($shorthand, $parts, $outcome?->discount);
    }

    /** The day by which all of it is due; null where nothing is. */
    public function due(): ?Day
    {
        return $this->parts === [] ? null : $this->parts[count($this->parts) - 1][0];
    }

    /** Whether it is due in parts. */
    public function areSeveral(): bool
    {
        return count($this->parts) > 1;
    }
}
