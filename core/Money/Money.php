<?php

declare(strict_types=1);

namespace Almanac\Money;

use Brick\Math\BigDecimal;
use Brick\Math\BigInteger;
use Brick\Math\BigNumber;
use Brick\Math\Exception\IntegerOverflowException;
use Brick\Math\Exception\MathException;
use Brick\Math\RoundingMode;
use Symfony\Component\Intl\Currencies;

/**
 * An exact amount: whole minor units (cents) of an ISO 4217 currency. May be negative. What is entered
 * has at most MOST minor units, so that the sum of a book's amounts never leaves an integer of 64 bits.
 */
final readonly class Money
{
    /** Minor units that an amount which somebody enters may have: of dollars, a hundred thousand million. */
    public const MOST = 10_000_000_000_000;

    private function __construct(public int $minor, public string $currency)
    {
    }

    /** @throws BadAmount when the currency is unknown */
    public static function ofMinor(int $minor, string $currency): self
    {
        self::digitsOf($currency);

        return new self($minor, $currency);
    }

    /**
     * Reads a plain decimal such as 1250.00; no thousands separators.
     *
     * @throws BadAmount when it is no number, is finer than the currency, is beyond MOST, or the currency is unknown
     */
    public static function of(string $amount, string $currency): self
    {
        $digits = self::digitsOf($currency);
        try {
            return self::fits(TypedNumber::plain(trim($amount))->toScale($digits), $currency)->mustBeEnterable();
        } catch (MathException) {
            throw BadAmount::tooFine($amount, $currency, $digits);
        }
    }

    /**
     * Reads an amount as people type it, with the sign or the code of its currency or without.
     *
     * @throws BadAmount when it is no number, is finer than the currency, is beyond MOST, or the currency is unknown or another one
     */
    public static function fromTyped(string $amount, string $currency, DecimalSign $sign = DecimalSign::Point): self
    {
        $digits = self::digitsOf($currency);
        $typed = TypedNumber::read($amount, $sign);
        if ($typed->decimals > $digits) {
            throw BadAmount::tooFine($amount, $currency, $digits);
        }

        return self::fits($typed->in($currency)->toScale($digits), $currency)->mustBeEnterable();
    }

    /** @throws BadAmount when it is more than somebody may enter */
    public function mustBeEnterable(): self
    {
        return abs($this->minor) <= self::MOST ? $this : throw BadAmount::tooLarge($this->currency);
    }

    /** @throws BadAmount when the currencies differ, or the sum is beyond 64 bits */
    public function plus(self $other): self
    {
        if ($other->currency !== $this->currency) {
            throw BadAmount::mixedCurrencies($this->currency, $other->currency);
        }
        if ($other->minor > 0 ? $this->minor > PHP_INT_MAX - $other->minor : $this->minor < -PHP_INT_MAX - $other->minor) {
            throw BadAmount::tooLarge($this->currency);
        }

        return new self($this->minor + $other->minor, $this->currency);
    }

    /** @throws BadAmount when the currencies differ */
    public function minus(self $other): self
    {
        return $this->plus($other->negated());
    }

    public function negated(): self
    {
        return new self(-$this->minor, $this->currency);
    }

    /**
     * The smaller of the two.
     *
     * @throws BadAmount when the currencies differ
     */
    public function atMost(self $other): self
    {
        return $this->minus($other)->minor > 0 ? $other : $this;
    }

    public static function zero(string $currency): self
    {
        return self::ofMinor(0, $currency);
    }

    /**
     * @param iterable<self> $amounts
     *
     * @throws BadAmount when one is in another currency
     */
    public static function sum(iterable $amounts, string $currency): self
    {
        $sum = self::zero($currency);
        foreach ($amounts as $amount) {
            $sum = $sum->plus($amount);
        }

        return $sum;
    }

    /**
     * An exact number of units, rounded half up (away from zero) to the minor unit.
     *
     * @throws BadAmount when it is beyond 64 bits
     */
    public static function rounded(BigNumber $units, string $currency): self
    {
        return self::fits($units->toScale(self::digitsOf($currency), RoundingMode::HALF_UP), $currency);
    }

    /** Units with as many decimals as the currency has. */
    private static function fits(BigDecimal $units, string $currency): self
    {
        try {
            return new self($units->getUnscaledValue()->toInt(), $currency);
        } catch (IntegerOverflowException) {
            throw BadAmount::tooLarge($currency);
        }
    }

    /** How many hundredths of the whole this part is, rounded down; 0 of nothing. */
    public function shareOf(self $whole): int
    {
        return $whole->minor === 0 ? 0 : BigInteger::of($this->minor)->multipliedBy(100)->quotient($whole->minor)->toInt();
    }

    public function isZero(): bool
    {
        return $this->minor === 0;
    }

    public function isNegative(): bool
    {
        return $this->minor < 0;
    }

    /** That part of the amount, rounded half up (away from zero) to the minor unit. */
    public function percentage(Percent $percent): self
    {
        $exact = BigInteger::of($this->minor)->toBigDecimal()
            ->multipliedBy($percent->value)
            ->dividedBy(100, 0, RoundingMode::HALF_UP);

        return new self($exact->toInt(), $this->currency);
    }

    /**
     * Parts by percentage that add up to the amount exactly: each is rounded down towards zero,
     * and the last takes what remains.
     *
     * @param non-empty-list<Percent> $shares
     *
     * @return non-empty-list<self>
     *
     * @throws BadAmount when the shares do not add up to 100%
     */
    public function split(array $shares): array
    {
        Shares::mustAddUp($shares);
        $parts = [];
        $left = $this->minor;
        foreach (array_slice($shares, 0, -1) as $share) {
            $part = BigInteger::of($this->minor)->toBigDecimal()
                ->multipliedBy($share->value)
                ->dividedBy(100, 0, RoundingMode::DOWN)
                ->toInt();
            $parts[] = new self($part, $this->currency);
            $left -= $part;
        }
        $parts[] = new self($left, $this->currency);

        return $parts;
    }

    public function equals(self $other): bool
    {
        return $this->minor === $other->minor && $this->currency === $other->currency;
    }

    /** The plain decimal with the currency's own number of decimals: 1250.00. */
    public function toDecimal(): string
    {
        $digits = self::digitsOf($this->currency);

        return (string) BigDecimal::ofUnscaledValue($this->minor, $digits);
    }

    /** For reading, in groups of three and with a true minus: 1,250.00, −12.00. */
    public function figures(): string
    {
        return self::inGroups($this->toDecimal());
    }

    /** A plain decimal for reading, in groups of three and with a true minus. */
    public static function inGroups(string $plain): string
    {
        [$whole, $part] = explode('.', $plain) + [1 => ''];
        $grouped = preg_replace('/(?<=\\d)(?=(\\d{3})+$)/', ',', $whole);

        return str_replace('-', '−', $grouped.($part === '' ? '' : '.'.$part));
    }

    /** For reading where the currency is not known from around it: USD 1,250.00. */
    public function toText(): string
    {
        return $this->currency.' '.$this->figures();
    }

    /**
     * Of decimals; asked for with every amount, and so kept.
     *
     * @throws BadAmount when the currency is unknown
     */
    private static function digitsOf(string $currency): int
    {
        /** @var array<string, int> $known */
        static $known = [];

        return $known[$currency] ??= Currencies::exists($currency)
            ? Currencies::getFractionDigits($currency)
            : throw BadAmount::unknownCurrency(mb_substr($currency, 0, 20));
    }
}
