<?php

declare(strict_types=1);

namespace Almanac\Lists;

use Almanac\Titled;

/** How a list is looked at. */
enum ListView: string implements Titled
{
    case Table = 'table';
    case Cards = 'cards';
    case Map = 'map';
    case NextSteps = 'next-steps';
    case Counted = 'counted';

    public function title(): string
    {
        return match ($this) {
            self::Table => 'Table',
            self::Cards => 'Cards',
            self::Map => 'Map',
            self::NextSteps => 'Next steps',
            self::Counted => 'Counted',
        };
    }

    /** @return list<string> the keys of the fields that it always shows; none where everybody chooses for themselves */
    public function columns(): array
    {
        return match ($this) {
            self::Cards => ['name', 'receivable', 'overdue', 'payable'],
            self::NextSteps => ['name', 'reminder', 'reminder-text', 'last', 'last-what', 'owner'],
            default => [],
        };
    }

    /** By which fields it is sorted where nothing else is asked: what has waited longest comes first. */
    public function sort(): string
    {
        return $this === self::NextSteps ? '-reminder' : '';
    }
}
