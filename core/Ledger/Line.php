<?php

declare(strict_types=1);

namespace Almanac\Ledger;

use Almanac\Money\BadAmount;
use Almanac\Money\DecimalSign;
use Almanac\Money\Money;
use Almanac\Money\Percent;
use Almanac\Money\TypedNumber;
use Almanac\Records\Wording;
use Almanac\Records\WordingRefused;
use Brick\Math\BigDecimal;

/** One line of a document: so much of something, at a price, less a discount. */
final readonly class Line
{
    private const LONGEST_TEXT = 500;

    private const SCALE = 6;

    private const MOST = '1000000000';

    private function __construct(
        public string $text,
        public BigDecimal $quantity,
        public BigDecimal $price,
        public Percent $discount,
        public Percent $tax,
    ) {
    }

    public static function of(string $text, BigDecimal $quantity, BigDecimal $price, Percent $discount, Percent $tax): self
    {
        return new self($text, $quantity, $price, $discount, $tax);
    }

    /** @throws WordingRefused when it is empty or has over 500 characters */
    public static function readText(string $typed): string
    {
        return Wording::line($typed, self::LONGEST_TEXT, 'Say what this line is for.');
    }

    /**
     * A quantity; negative for what is taken back.
     *
     * @throws BadAmount when it is no number, has over six decimals, or is beyond a thousand million
     */
    public static function readQuantity(string $typed, DecimalSign $sign = DecimalSign::Point): BigDecimal
    {
        return self::bounded(TypedNumber::read($typed, $sign)->alone(), $typed);
    }

    /**
     * A price in a currency, whose sign may stand beside it.
     *
     * @throws BadAmount when it is no number, is in another currency, has over six decimals, or is beyond a thousand million
     */
    public static function readPrice(string $typed, string $currency, DecimalSign $sign = DecimalSign::Point): BigDecimal
    {
        return self::bounded(TypedNumber::read($typed, $sign)->in($currency), $typed);
    }

    /**
     * A quantity or a price as a program writes it.
     *
     * @throws BadAmount when it is no number, has over six decimals, or is beyond a thousand million
     */
    public static function readPlain(string $text): BigDecimal
    {
        return self::bounded(TypedNumber::plain($text), $text);
    }

    private static function bounded(BigDecimal $number, string $typed): BigDecimal
    {
        return $number->getScale() > self::SCALE || $number->abs()->isGreaterThan(self::MOST)
            ? throw BadAmount::beyondALine($typed)
            : $number;
    }

    /** The price for reading: in groups, with the decimals of the currency, or more where it has more. */
    public function priceText(string $currency): string
    {
        $digits = strlen(strrchr(Money::zero($currency)->toDecimal(), '.') ?: '.') - 1;
        $price = $this->price->toScale(max($digits, $this->price->stripTrailingZeros()->getScale()));

        return Money::inGroups((string) $price);
    }

    /**
     * Quantity times price less the discount, rounded half up to the minor unit, as EN 16931 has
     * it for the net amount of a line (BT-131).
     *
     * @throws BadAmount when it is more than somebody may enter
     */
    public function amount(string $currency): Money
    {
        return Money::rounded(
            $this->quantity->multipliedBy($this->price)
                ->multipliedBy(BigDecimal::of(100)->minus($this->discount->value))->withPointMovedLeft(2),
            $currency,
        )->mustBeEnterable();
    }
}
