<?php

declare(strict_types=1);

namespace Almanac\Details;

use Almanac\Calendar\Day;
use Almanac\Lists\FieldType;
use Almanac\Lists\Value;
use Almanac\Money\Money;
use Almanac\Titled;
use Brick\Math\BigDecimal;

/** What a field of a detail sheet holds. */
enum FieldKind: string implements Titled
{
    case Text = 'text';
    case LongText = 'long-text';
    case Number = 'number';
    case Date = 'date';
    case YesNo = 'yes-or-no';
    case Choice = 'choice';
    case Choices = 'several-choices';
    case Amount = 'amount';
    case Secret = 'secret';

    public function title(): string
    {
        return strtr($this->value, '-', ' ');
    }

    /** What of it is listed, asked and sorted by. */
    public function type(): FieldType
    {
        return match ($this) {
            self::Text, self::LongText, self::Secret => FieldType::Text,
            self::Number => FieldType::Number,
            self::Date => FieldType::Day,
            self::YesNo => FieldType::YesNo,
            self::Choice => FieldType::Choice,
            self::Choices => FieldType::Choices,
            self::Amount => FieldType::Amount,
        };
    }

    /** @param  string  $kept  as FieldReader keeps it; empty for nothing */
    public function value(string $kept): Value
    {
        return match ($this->type()) {
            FieldType::Text => Value::text($kept),
            FieldType::Number => Value::number($kept === '' ? null : BigDecimal::of($kept)),
            FieldType::Day => Value::day($kept === '' ? null : Day::fromIso($kept)),
            FieldType::YesNo => Value::yesNo($kept === '' ? null : $kept === 'yes'),
            FieldType::Choice => Value::choice($kept),
            FieldType::Choices => Value::choices($kept === '' ? [] : explode("\n", $kept)),
            FieldType::Amount => Value::amount($kept === '' ? null : Money::of(substr($kept, 0, -4), substr($kept, -3))),
            FieldType::Days, FieldType::Place => throw new \LogicException('No field of a sheet holds that.'),
        };
    }

    /** Whether it is chosen from a list that comes with the field. */
    public function hasOptions(): bool
    {
        return $this === self::Choice || $this === self::Choices;
    }
}
