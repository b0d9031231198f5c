<?php

declare(strict_types=1);

namespace Almanac\Ledger;

use Almanac\Money\BadAmount;
use Almanac\Money\Money;

/** A credit limit, and how much of it is used: exposure is what is open plus orders that are not billed yet. */
final readonly class Credit
{
    private function __construct(
        public Money $limit,
        public Money $open,
        public Money $unbilled,
        public Money $exposure,
        public Money $left,
        public CreditPolicy $policy,
    ) {
    }

    /** @throws BadAmount when the currencies differ */
    public static function of(Money $limit, Money $open, Money $unbilled, CreditPolicy $policy): self
    {
        $exposure = $open->plus($unbilled);

        return new self($limit, $open, $unbilled, $exposure, $limit->minus($exposure), $policy);
    }

    public function isOver(): bool
    {
        return $this->left->isNegative();
    }

    /**
     * Whether so much more may be added, and what to say.
     *
     * @return array{CreditPolicy|null, string} null when it stays within the limit
     *
     * @throws BadAmount when the currencies differ
     */
    public function check(Money $addition): array
    {
        $after = $this->left->minus($addition);

        return [
            $after->isNegative() ? $this->policy : null,
            sprintf(
                'Limit %s; open %s, orders not yet billed %s%s: %s.',
                $this->limit->toText(),
                $this->open->figures(),
                $this->unbilled->figures(),
                $addition->isZero() ? '' : ', this one '.$addition->figures(),
                $after->isNegative() ? $after->negated()->figures().' over the limit' : $after->figures().' left',
            ),
        ];
    }

    /** "open 4,000.00 plus orders not yet billed 1,000.00 is 5,000.00 of 6,000.00" */
    public function sentence(): string
    {
        return sprintf(
            'Open %s plus orders not yet billed %s is %s of a limit of %s.',
            $this->open->figures(),
            $this->unbilled->figures(),
            $this->exposure->figures(),
            $this->limit->toText(),
        );
    }
}
