<?php

declare(strict_types=1);

namespace Almanac\Access;

use Almanac\Titled;

/** What a token opens. */
enum TokenUse: string implements Titled
{
    /** All that its owner may do. */
    case Scripts = 'scripts';

    /** The address books, for phones and mail programs, and nothing else. */
    case Cards = 'cards';

    public function title(): string
    {
        return match ($this) {
            self::Scripts => 'a script',
            self::Cards => 'address books',
        };
    }
}
