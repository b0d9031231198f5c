<?php

declare(strict_types=1);

namespace Almanac\Ledger;

use Almanac\Money\BadAmount;
use Almanac\Money\Money;
use Almanac\Money\Percent;
use Almanac\Records\Wording;
use Almanac\Records\WordingRefused;
use Brick\Math\BigDecimal;
use Brick\Math\Exception\MathException;

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
     * A quantity or a price, with a decimal point or a comma; negative for what is taken back.
     *
     * @throws BadAmount when it is no number, has over six decimals, or is beyond a thousand million
     */
    public static function readNumber(string $typed): BigDecimal
    {
        $plain = preg_match('/^-?\d{1,3}(,\d{3})+(\.\d+)?$/', trim($typed)) === 1
            ? str_replace(',', '', trim($typed))
            : str_replace(',', '.', trim($typed));
        try {
            $number = BigDecimal::of($plain);
        } catch (MathException) {
            throw BadAmount::notANumber($typed);
        }
        if ($number->getScale() > self::SCALE || $number->abs()->isGreaterThan(self::MOST)) {
            throw BadAmount::beyondALine($typed);
        }

        return $number;
    }

    /**
     * Quantity times price less the discount, rounded half up to the minor unit, as EN 16931 has
     * it for the net amount of a line (BT-131).
     */
    public function amount(string $currency): Money
    {
        return Money::rounded(
            $this->quantity->multipliedBy($this->price)
                ->multipliedBy(BigDecimal::of(100)->minus($this->discount->value))->toBigRational()->dividedBy(100),
            $currency,
        );
    }
}
