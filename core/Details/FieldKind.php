<?php

declare(strict_types=1);

namespace Almanac\Details;

/** What a field of a detail sheet holds. */
enum FieldKind: string
{
    case Text = 'text';
    case LongText = 'long text';
    case Number = 'number';
    case Date = 'date';
    case YesNo = 'yes or no';
    case Choice = 'choice';
    case Choices = 'several choices';
    case Amount = 'amount';
    case Secret = 'secret';

    /** Whether it is chosen from a list that comes with the field. */
    public function hasOptions(): bool
    {
        return $this === self::Choice || $this === self::Choices;
    }
}
