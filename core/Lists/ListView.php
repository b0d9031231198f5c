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

    public function title(): string
    {
        return match ($this) {
            self::Table => 'Table',
            self::Cards => 'Cards',
            self::Map => 'Map',
            self::NextSteps => 'Next steps',
        };
    }
}
