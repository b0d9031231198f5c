<?php

declare(strict_types=1);

namespace Almanac\Ledger;

use Almanac\Money\BadAmount;
use Almanac\Money\Money;

/**
 * A credit limit, and how much of it is used: exposure is what is open plus orders that are not billed
 * yet, less money and credits of theirs that are not used yet (common practice, no published source).
 */
final readonly class Credit
{
    private function __construct(
        public Money $limit,
        public Money $open,
        public Money $unbilled,
        public Money $unused,
        public Money $exposure,
        public Money $left,
        public CreditPolicy $policy,
    ) {
    }

    /** @throws BadAmount when the currencies differ */
    public static function of(Money $limit, Money $open, Money $unbilled, Money $unused, CreditPolicy $policy): self
    {
        $exposure = $open->plus($unbilled)->minus($unused);

        return new self($limit, $open, $unbilled, $unused, $exposure, $limit->minus($exposure), $policy);
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
                'Limit %s; open %s, orders not yet billed %s%s%s: %s.',
                $this->limit->toText(),
                $this->open->figures(),
                $this->unbilled->figures(),
                $this->unused->isZero() ? '' : ', received and not used yet '.$this->unused->figures(),
                $addition->isZero() ? '' : ', this one '.$addition->figures(),
                $after->isNegative() ? $after->negated()->figures().' over the limit' : $after->figures().' left',
            ),
        ];
    }

    /** "Open 4,000.00 plus orders not yet billed 1,000.00 is 5,000.00 of a limit of USD 6,000.00." */
    public function sentence(): string
    {
        return sprintf(
            'Open %s plus orders not yet billed %s%s is %s of a limit of %s.',
            $this->open->figures(),
            $this->unbilled->figures(),
            $this->unused->isZero() ? '' : ', less '.$this->unused->figures().' received and not used yet,',
            $this->exposure->figures(),
            $this->limit->toText(),
        );
    }
}
