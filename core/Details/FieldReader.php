<?php

declare(strict_types=1);

namespace Almanac\Details;

use Almanac\Calendar\Day;
use Almanac\Calendar\TypedDay;
use Almanac\Money\BadAmount;
use Almanac\Money\DecimalSign;
use Almanac\Money\Money;
use Almanac\Money\TypedNumber;
use Almanac\Records\Wording;
use Almanac\Refusal;

/**
 * Reads what is typed into a field of a detail sheet into the form in which it is kept, and shows
 * what is kept. Nothing typed is kept as nothing, whatever the kind.
 */
final readonly class FieldReader
{
    private const LINE = 500;

    private const PARAGRAPHS = 5000;

    private const DIGITS = 30;

    private function __construct(private TypedDay $dates, private string $currency, private DecimalSign $sign)
    {
    }

    /** @param  string  $currency ISO 4217, of amounts typed without one */
    public static function of(TypedDay $dates, string $currency, DecimalSign $sign = DecimalSign::Point): self
    {
        return new self($dates, $currency, $sign);
    }

    /**
     * @param string $typed several choices stand on a line each
     * @param list<string> $options of a choice
     * @param string $kept what the field held before: a choice that is no longer offered may stay
     *
     * @return string empty when nothing was typed
     *
     * @throws Refusal when it cannot be read as that kind
     */
    public function read(FieldKind $kind, string $typed, array $options = [], string $kept = ''): string
    {
        $text = trim($typed);
        if ($text === '') {
            return '';
        }

        return match ($kind) {
            FieldKind::Text, FieldKind::Secret => Wording::line($text, self::LINE, ''),
            FieldKind::LongText => Wording::paragraphs($text, self::PARAGRAPHS, ''),
            FieldKind::Number => $this->number($text),
            FieldKind::Date => $this->dates->read($text)->toIso(),
            FieldKind::YesNo => $this->yesOrNo($text),
            FieldKind::Choice => $this->choice($text, [...$options, $kept]),
            FieldKind::Choices => implode("\n", array_unique(array_map(
                fn (string $one) => $this->choice(trim($one), [...$options, ...explode("\n", $kept)]),
                array_filter(explode("\n", $text), fn (string $one) => trim($one) !== ''),
            ))),
            FieldKind::Amount => $this->amount($text),
        };
    }

    /** For reading: a date the office's way, an amount with its currency. */
    public function show(FieldKind $kind, string $kept): string
    {
        return match (true) {
            $kept === '' => '',
            $kind === FieldKind::Date => Day::fromIso($kept)->toText(),
            $kind === FieldKind::Choices => str_replace("\n", ', ', $kept),
            $kind === FieldKind::Amount => $this->inGroups($kept),
            $kind === FieldKind::Number => $this->sign->write($kept),
            default => $kept,
        };
    }

    private function number(string $text): string
    {
        try {
            return (string) TypedNumber::read($text, $this->sign)->alone();
        } catch (BadAmount) {
            throw FieldRefused::notANumber(mb_substr($text, 0, self::DIGITS));
        }
    }

    /** 240,000.00 USD */
    private function inGroups(string $amount): string
    {
        $grouped = preg_replace('/\B(?=(\d{3})+(?!\d)(?:\.|\s))/', "'", $amount) ?? $amount;

        return strtr($grouped, ["'" => $this->sign->other()->value, '.' => $this->sign->value]);
    }

    private function yesOrNo(string $text): string
    {
        return match (mb_strtolower($text)) {
            'yes', 'y' => 'yes',
            'no', 'n' => 'no',
            default => throw FieldRefused::notYesOrNo($text),
        };
    }

    /** @param  list<string>  $options */
    private function choice(string $text, array $options): string
    {
        foreach ($options as $option) {
            if ($option !== '' && mb_strtolower($option) === mb_strtolower($text)) {
                return $option;
            }
        }

        throw FieldRefused::notOffered($text);
    }

    /** "1,250.50", or with its currency before or after it: "CHF 1250". */
    private function amount(string $text): string
    {
        try {
            $currency = TypedNumber::read($text, $this->sign)->currency() ?? $this->currency;

            return Money::fromTyped($text, $currency, $this->sign)->toDecimal().' '.$currency;
        } catch (BadAmount) {
            throw FieldRefused::notAnAmount(mb_substr($text, 0, self::DIGITS));
        }
    }
}
