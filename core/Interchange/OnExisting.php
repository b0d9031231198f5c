<?php

declare(strict_types=1);

namespace Almanac\Interchange;

use Almanac\Titled;

/** What a file does to a record that is in the book already. */
enum OnExisting: string implements Titled
{
    case Leave = 'leave';
    case Fill = 'fill';
    case TakeOver = 'take-over';

    public function title(): string
    {
        return match ($this) {
            self::Leave => 'leave them as they are',
            self::Fill => 'fill what is empty',
            self::TakeOver => 'take over what the file says',
        };
    }
}
