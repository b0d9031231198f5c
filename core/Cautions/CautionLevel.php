<?php

declare(strict_types=1);

namespace Almanac\Cautions;

use Almanac\Titled;

/** How much a caution asks for: to be read, or to stop. */
enum CautionLevel: string implements Titled
{
    case Note = 'note';
    case Stop = 'stop';

    public function title(): string
    {
        return match ($this) {
            self::Note => 'note: to be read',
            self::Stop => 'stop: do not go on',
        };
    }
}
