<?php

declare(strict_types=1);

namespace Almanac\Lists;

use Almanac\Calendar\Day;
use Almanac\Finding\Fold;
use Almanac\Money\Money;
use Brick\Math\BigDecimal;

/** What a record has in a field. What it has not is empty, whatever the type. */
final readonly class Value
{
    /** @param  string|BigDecimal|Money|Day|Span|Point|Near|Box|bool|list<string>|list<Day>|null  $held */
    private function __construct(
        public FieldType $type,
        public string|BigDecimal|Money|Day|Span|Point|Near|Box|bool|array|null $held,
    ) {
    }

    public static function text(string $text): self
    {
        return new self(FieldType::Text, $text);
    }

    public static function number(BigDecimal|int|null $number): self
    {
        return new self(FieldType::Number, is_int($number) ? BigDecimal::of($number) : $number);
    }

    public static function amount(?Money $amount): self
    {
        return new self(FieldType::Amount, $amount);
    }

    public static function day(?Day $day): self
    {
        return new self(FieldType::Day, $day);
    }

    /** @param  list<Day>  $days */
    public static function days(array $days): self
    {
        return new self(FieldType::Days, $days);
    }

    /** To ask of days with. */
    public static function span(Span $span): self
    {
        return new self(FieldType::Day, $span);
    }

    public static function point(?Point $point): self
    {
        return new self(FieldType::Place, $point);
    }

    /** To ask of places with. */
    public static function near(Near $near): self
    {
        return new self(FieldType::Place, $near);
    }

    /** To ask of places with. */
    public static function box(Box $box): self
    {
        return new self(FieldType::Place, $box);
    }

    public static function yesNo(?bool $isSo): self
    {
        return new self(FieldType::YesNo, $isSo);
    }

    public static function choice(string $chosen): self
    {
        return new self(FieldType::Choice, $chosen);
    }

    /** @param  list<string>  $chosen */
    public static function choices(array $chosen): self
    {
        return new self(FieldType::Choices, $chosen);
    }

    public function isEmpty(): bool
    {
        return $this->held === null || $this->held === '' || $this->held === [];
    }

    /**
     * In the order of these, records are sorted by the field; null is what has no place in it. Amounts are in minor
     * units of their own currency, days as ISO 8601 writes them, of several the last one, letters without case and accents.
     */
    public function toSort(): int|float|string|null
    {
        return match (true) {
            $this->isEmpty() => null,
            is_string($this->held) => Fold::text($this->held),
            is_bool($this->held) => (int) $this->held,
            $this->type === FieldType::Days => max(['', ...$this->texts()]),
            is_array($this->held) => Fold::text(implode("\n", $this->texts())),
            $this->held instanceof Money => $this->held->minor,
            $this->held instanceof Day => $this->held->toIso(),
            $this->held instanceof BigDecimal => $this->held->toFloat(),
            default => null,
        };
    }

    /** For reading, and for a cell of a file. */
    public function toText(): string
    {
        return match (true) {
            $this->held === null => '',
            is_string($this->held) => $this->held,
            is_bool($this->held) => $this->held ? 'yes' : 'no',
            is_array($this->held) => implode(', ', $this->texts(fn (Day $day) => $day->toText())),
            $this->held instanceof BigDecimal => (string) $this->held->stripTrailingZeros(),
            $this->held instanceof Point => sprintf('%.4f, %.4f', $this->held->latitude, $this->held->longitude),
            default => $this->held->toText(),
        };
    }

    /**
     * @param (\Closure(Day): string)|null $ofDay
     *
     * @return list<string> those of several
     */
    public function texts(?\Closure $ofDay = null): array
    {
        $texts = [];
        foreach (is_array($this->held) ? $this->held : [] as $one) {
            $texts[] = $one instanceof Day ? ($ofDay === null ? $one->toIso() : $ofDay($one)) : $one;
        }

        return $texts;
    }
}
