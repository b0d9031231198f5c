<?php

declare(strict_types=1);

namespace Almanac\Cautions;

/** How much a caution asks for: to be read, or to stop. */
enum CautionLevel: string
{
    case Note = 'note';
    case Stop = 'stop';
}
