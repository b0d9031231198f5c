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
    /** @param  string|BigDecimal|Money|Day|bool|list<string>|null  $held */
    private function __construct(public FieldType $type, public string|BigDecimal|Money|Day|bool|array|null $held)
    {
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
     * units of their own currency, days as ISO 8601 writes them, letters without case and accents.
     */
    public function toSort(): int|float|string|null
    {
        return match (true) {
            $this->isEmpty() => null,
            is_string($this->held) => Fold::text($this->held),
            is_bool($this->held) => (int) $this->held,
            is_array($this->held) => Fold::text(implode("\n", $this->held)),
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
            is_array($this->held) => implode(', ', $this->held),
            $this->held instanceof Money, $this->held instanceof Day => $this->held->toText(),
            default => (string) $this->held->stripTrailingZeros(),
        };
    }
}
