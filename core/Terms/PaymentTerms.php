<?php

declare(strict_types=1);

namespace Almanac\Terms;

use Almanac\Calendar\BusinessCalendar;
use Almanac\Calendar\Day;
use Almanac\Calendar\Roll;
use Almanac\Money\BadAmount;
use Almanac\Money\Percent;
use Almanac\Money\Shares;

/** The rule that gives a document its due date, or dates, and its early-payment discount. */
final readonly class PaymentTerms
{
    private const MAX_PARTS = 24;

    /** Four years hold every length of month and both kinds of year. */
    private const DAYS_IN_LEAP_CYCLE = 1461;

    /** @param  non-empty-list<Instalment>  $parts */
    private function __construct(
        public array $parts,
        public ?Discount $discount,
        public Roll $roll,
    ) {
    }

    /** @throws TermsRefused when the discount would end after the due date whatever the document's date */
    public static function of(DueRule $rule, ?Discount $discount = null, Roll $roll = Roll::None): self
    {
        if ($discount !== null && self::alwaysOutlives($discount, $rule)) {
            throw TermsRefused::discountAfterDue($discount->toShorthand(), $rule->toShorthand());
        }

        return new self([Instalment::whole($rule)], $discount, $roll);
    }

    /**
     * @param non-empty-list<Instalment> $parts
     *
     * @throws TermsRefused when the parts do not make 100%, or are more than 24
     */
    public static function inInstalments(array $parts, Roll $roll = Roll::None): self
    {
        if (count($parts) > self::MAX_PARTS) {
            throw TermsRefused::tooManyParts(self::MAX_PARTS);
        }
        try {
            Shares::mustAddUp(array_map(fn (Instalment $part): Percent => $part->percent, $parts));
        } catch (BadAmount $problem) {
            throw TermsRefused::partsDoNotAddUp($problem->getMessage());
        }

        return new self($parts, null, $roll);
    }

    public function applyTo(Day $documentDate, BusinessCalendar $calendar): Outcome
    {
        $parts = array_map(
            fn (Instalment $part) => $this->duePart($part, $documentDate, $calendar),
            $this->parts,
        );

        return new Outcome($documentDate, $parts, $this->discount === null ? null : DiscountOffer::of(
            $this->discount->percent,
            $this->discount->lastDayFor($documentDate),
            $parts[0]->due,
        ));
    }

    /** The shorthand that Shorthand::read() turns back into an equal value. */
    public function toShorthand(): string
    {
        $due = count($this->parts) === 1
            ? $this->parts[0]->rule->toShorthand()
            : implode(', ', array_map(fn (Instalment $part) => $part->toShorthand(), $this->parts));

        // Without the comma, 2/10 EOM would say that the discount runs from the month's end.
        $pause = str_starts_with($due, 'EOM') ? ', ' : ' ';

        return ($this->discount === null ? '' : $this->discount->toShorthand().$pause)
            .$due
            .($this->roll === Roll::None ? '' : ', '.$this->roll->words());
    }

    public function equals(self $other): bool
    {
        return $this->toShorthand() === $other->toShorthand();
    }

    private function duePart(Instalment $part, Day $documentDate, BusinessCalendar $calendar): DuePart
    {
        $day = $part->rule->dueFor($documentDate);
        $sentence = $part->rule->explain($documentDate).' is '.$day->toTextWithWeekday().'.';

        $rolled = $calendar->roll($day, $this->roll);
        $direction = $rolled->isBefore($day) ? 'previous' : 'next';
        if ($rolled->isBefore($documentDate)) {
            // Nothing is due before its document exists.
            [$rolled, $direction] = [$calendar->roll($day, Roll::Next), 'next'];
        }
        if (! $rolled->equals($day)) {
            $sentence .= sprintf(
                ' That is %s, so the %s business day: %s.',
                $calendar->reasonClosed($day),
                $direction,
                $rolled->toTextWithWeekday(),
            );
        }

        return new DuePart($part->percent, $rolled, mb_strtoupper(mb_substr($sentence, 0, 1)).mb_substr($sentence, 1));
    }

    /** Whether there is no document date at all for which the discount ends by the due date. */
    private static function alwaysOutlives(Discount $discount, DueRule $rule): bool
    {
        $start = Day::of(2024, 1, 1);
        for ($n = 0; $n < self::DAYS_IN_LEAP_CYCLE; $n++) {
            $date = $start->plusDays($n);
            if (! $discount->lastDayFor($date)->isAfter($rule->dueFor($date))) {
                return false;
            }
        }

        return true;
    }
}
