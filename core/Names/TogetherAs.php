<?php

declare(strict_types=1);

namespace Almanac\Names;

use Almanac\Titled;

/** How two people at one address are written to. */
enum TogetherAs: string implements Titled
{
    case Alone = 'alone';
    case Names = 'names';
    case Titles = 'titles';

    public function title(): string
    {
        return match ($this) {
            self::Alone => 'each alone',
            self::Names => 'both names',
            self::Titles => 'Mr. and Mrs.',
        };
    }
}
