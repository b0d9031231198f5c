<?php

declare(strict_types=1);

namespace Almanac\Names;

/** How two people at one address are written to. */
enum TogetherAs: string
{
    case Alone = 'each alone';
    case Names = 'both names';
    case Titles = 'Mr. and Mrs.';
}
