<?php

declare(strict_types=1);

namespace Almanac\Money;

use Brick\Math\BigDecimal;

/**
 * The one reader of numbers that come from outside: amounts, prices, quantities, rates, percentages.
 * Length and digits are bounded before anything is computed, and there are no exponents.
 *
 * Thousands may be set off by the other sign, a space or an apostrophe, in whole groups of three. Of
 * the two signs the office's own sets off decimals; the other one is understood where it can mean
 * nothing else: in "12,50", "1.250,00" or "0,125", but not in "1,250" (common practice, no published source).
 */
final readonly class TypedNumber
{
    private const LONGEST = 60;

    private const MOST_DIGITS = 24;

    /** Signs of currencies, and the currencies that are written with them. */
    private const SIGNS = [
        '$' => ['USD', 'CAD', 'AUD', 'NZD', 'SGD', 'HKD', 'MXN'], 'US$' => ['USD'], 'C$' => ['CAD'], 'CA$' => ['CAD'], 'A$' => ['AUD'],
        '€' => ['EUR'], '£' => ['GBP'], '¥' => ['JPY', 'CNY'], '₹' => ['INR'], 'FR.' => ['CHF'], 'KR' => ['SEK', 'NOK', 'DKK'],
    ];

    private function __construct(
        public BigDecimal $value,
        /** What stood beside the number: a currency's sign or code, "%", or nothing. */
        public string $unit,
        /** As many decimals as were typed. */
        public int $decimals,
    ) {
    }

    /** @throws BadAmount when it is no number, too long, or its thousands are not in groups of three */
    public static function read(string $typed, DecimalSign $sign = DecimalSign::Point): self
    {
        if (mb_strlen($typed) > self::LONGEST) {
            throw BadAmount::tooLong(mb_substr($typed, 0, 20));
        }
        $text = trim(preg_replace('/[\s\x{a0}\x{2009}\x{202f}]+/u', ' ', $typed) ?? '', ' ');
        $text = str_replace(['−', '’'], ['-', "'"], $text);
        $unit = '(?<%s>[A-Za-z]{3}|(?:US|CA|C|A)?\$|[€£¥₹%%]|[Ff]r\.|kr)';
        $pattern = sprintf("/^(?<sign>-?) ?(?:$unit ?)?(?<inner>-?)(?<number>[\\d.,' ]*\\d)(?: ?$unit)?\$/u", 'before', 'after');
        if (
            preg_match($pattern, $text, $part) !== 1 ||
            ($part['before'] !== '' && ($part['after'] ?? '') !== '') ||
            ($part['sign'] !== '' && $part['inner'] !== '')
        ) {
            throw BadAmount::notANumber($typed);
        }
        $plain = self::plainOf($part['number'], $sign, $typed);
        $value = self::plain($part['sign'].$part['inner'].$plain);
        $point = strpos($plain, '.');

        return new self($value, mb_strtoupper($part['before'].($part['after'] ?? '')), $point === false ? 0 : strlen($plain) - $point - 1);
    }

    /**
     * A decimal as programs write it (XML Schema's xs:decimal): digits, with a point for the decimals.
     *
     * @throws BadAmount when it is no such number, or too long
     */
    public static function plain(string $text): BigDecimal
    {
        if (strlen($text) > self::LONGEST) {
            throw BadAmount::tooLong(mb_strcut($text, 0, 20));
        }
        if (preg_match('/^[+-]?(?:\d+(?:\.\d*)?|\.\d+)$/D', $text) !== 1) {
            throw BadAmount::notANumber($text);
        }
        if (preg_match_all('/\d/', ltrim($text, '+-0')) > self::MOST_DIGITS) {
            throw BadAmount::tooLong(substr($text, 0, 20));
        }

        return BigDecimal::of(rtrim($text, '.'));
    }

    /**
     * The number, where nothing or the sign of that currency stands beside it.
     *
     * @throws BadAmount when it is in another currency
     */
    public function in(string $currency): BigDecimal
    {
        if ($this->unit !== '' && $this->unit !== $currency && ! in_array($currency, self::SIGNS[$this->unit] ?? [], true)) {
            throw BadAmount::otherUnit($this->unit, $currency);
        }

        return $this->value;
    }

    /** @throws BadAmount when anything but "%" stands beside it */
    public function inPercent(): BigDecimal
    {
        return $this->unit === '' || $this->unit === '%' ? $this->value : throw BadAmount::otherUnit($this->unit, '%');
    }

    /** @throws BadAmount when anything stands beside it */
    public function alone(): BigDecimal
    {
        return $this->unit === '' ? $this->value : throw BadAmount::unitBeside($this->unit);
    }

    /** The currency named beside the number by its code, or null. */
    public function currency(): ?string
    {
        return preg_match('/^[A-Z]{3}$/', $this->unit) === 1 ? $this->unit : null;
    }

    /** @throws BadAmount when its thousands are not in groups of three */
    private static function plainOf(string $number, DecimalSign $sign, string $typed): string
    {
        $point = self::pointOf($number, $sign);
        $whole = $point === null ? $number : substr($number, 0, (int) strrpos($number, $point));
        $decimals = $point === null ? '' : substr($number, (int) strrpos($number, $point) + 1);
        if ($whole !== '' && preg_match("/^(?:\\d+|\\d{1,3}(?<group>[.,' ])\\d{3}(?:\\k<group>\\d{3})*)\$/D", $whole) !== 1
            || preg_match('/^\d*$/D', $decimals) !== 1) {
            throw BadAmount::badGroups($typed);
        }

        return (preg_replace('/\D/', '', $whole) ?: '0').($point === null ? '' : '.'.$decimals);
    }

    /** Which of its signs sets off the decimals, or null where none does. */
    private static function pointOf(string $number, DecimalSign $sign): ?string
    {
        $own = substr_count($number, $sign->value);
        $other = substr_count($number, $sign->other()->value);
        if ($own > 0 && $other > 0) {
            return strrpos($number, '.') > strrpos($number, ',') ? '.' : ',';
        }
        if ($own > 0) {
            // Twice the office's own sign can only set off thousands.
            return $own === 1 ? $sign->value : null;
        }

        // The other sign sets off thousands, unless it stands where no thousands can be.
        return $other === 1 && preg_match('/^(?!0)\\d{1,3}[.,]\\d{3}$/', $number) !== 1 ? $sign->other()->value : null;
    }
}
