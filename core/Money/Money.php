<?php

declare(strict_types=1);

namespace Almanac\Money;

use Brick\Math\BigDecimal;
use Brick\Math\BigInteger;
use Brick\Math\BigNumber;
use Brick\Math\Exception\MathException;
use Brick\Math\RoundingMode;
use Symfony\Component\Intl\Currencies;

/** An exact amount: whole minor units (cents) of an ISO 4217 currency. May be negative. */
final readonly class Money
{
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
     * @throws BadAmount when it is no number, is finer than the currency, or the currency is unknown
     */
    public static function of(string $amount, string $currency): self
    {
        $digits = self::digitsOf($currency);
        try {
            $value = BigDecimal::of(trim($amount));
        } catch (MathException) {
            throw BadAmount::notANumber($amount);
        }
        try {
            return new self($value->withPointMovedRight($digits)->toBigInteger()->toInt(), $currency);
        } catch (MathException) {
            throw BadAmount::tooFine($amount, $currency, $digits);
        }
    }

    /**
     * Reads an amount as people type it: groups of three may have commas.
     *
     * @throws BadAmount when it is no number, is finer than the currency, or the currency is unknown
     */
    public static function fromTyped(string $amount, string $currency): self
    {
        return self::of(str_replace(',', '', $amount), $currency);
    }

    /** @throws BadAmount when the currencies differ */
    public function plus(self $other): self
    {
        if ($other->currency !== $this->currency) {
            throw BadAmount::mixedCurrencies($this->currency, $other->currency);
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

    /** An exact number of units, rounded half up (away from zero) to the minor unit. */
    public static function rounded(BigNumber $units, string $currency): self
    {
        return new self(
            $units->toBigRational()->multipliedBy(10 ** self::digitsOf($currency))->toScale(0, RoundingMode::HALF_UP)->toInt(),
            $currency,
        );
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
     * @throws BadAmount when the shares do not add up to 100 %
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
        [$whole, $part] = explode('.', $this->toDecimal()) + [1 => ''];
        $grouped = preg_replace('/(?<=\\d)(?=(\\d{3})+$)/', ',', $whole);

        return str_replace('-', '−', $grouped.($part === '' ? '' : '.'.$part));
    }

    /** For reading where the currency is not known from around it: USD 1,250.00. */
    public function toText(): string
    {
        return $this->currency.' '.$this->figures();
    }

    private static function digitsOf(string $currency): int
    {
        return Currencies::exists($currency)
            ? Currencies::getFractionDigits($currency)
            : throw BadAmount::unknownCurrency($currency);
    }
}
