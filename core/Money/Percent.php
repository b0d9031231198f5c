<?php

declare(strict_types=1);

namespace Almanac\Money;

use Brick\Math\BigDecimal;

/** A percentage from 0 to 100, exact: 2.5 means 2.5 parts in a hundred. */
final readonly class Percent implements \Stringable
{
    private const MAX_SCALE = 6;

    private function __construct(public BigDecimal $value)
    {
    }

    /**
     * Reads a percentage with a decimal point or comma, and its sign or none: "2", "2.5", "2,5 %". It has no
     * thousands, so that either sign sets off decimals.
     *
     * @throws BadAmount when the text is no number, is not in 0 to 100, or has over six decimals
     */
    public static function of(string|int $text): self
    {
        $plain = preg_replace('/^(\d+),(\d{3})(?= ?%?$)/', '$1.$2', trim((string) $text)) ?? '';
        $value = TypedNumber::read($plain)->inPercent();
        if ($value->isNegative() || $value->isGreaterThan(100) || $value->getScale() > self::MAX_SCALE) {
            throw BadAmount::notAPercentage((string) $text);
        }

        return new self($value->stripTrailingZeros());
    }

    public static function none(): self
    {
        return new self(BigDecimal::zero());
    }

    public function isZero(): bool
    {
        return $this->value->isZero();
    }

    public function plus(self $other): self
    {
        return new self($this->value->plus($other->value));
    }

    public function equals(self $other): bool
    {
        return $this->value->isEqualTo($other->value);
    }

    /** The plain number, as in 2.5; trailing zeros are dropped. */
    public function __toString(): string
    {
        return $this->value->getScale() < 0 ? (string) $this->value->toScale(0) : (string) $this->value;
    }

    /** For reading: 2.5%. */
    public function toText(): string
    {
        return $this.'%';
    }
}
