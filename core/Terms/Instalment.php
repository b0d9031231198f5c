<?php

declare(strict_types=1);

namespace Almanac\Terms;

use Almanac\Money\Percent;

/** A part of the amount with a due rule of its own. A single payment is one part of 100%. */
final readonly class Instalment
{
    private function __construct(public Percent $percent, public DueRule $rule)
    {
    }

    /** @throws TermsRefused when the part is 0% */
    public static function of(Percent $percent, DueRule $rule): self
    {
        return $percent->isZero() ? throw TermsRefused::emptyPart() : new self($percent, $rule);
    }

    public static function whole(DueRule $rule): self
    {
        return new self(Percent::of(100), $rule);
    }

    public function toShorthand(): string
    {
        return $this->percent.'% '.$this->rule->toShorthand();
    }
}
