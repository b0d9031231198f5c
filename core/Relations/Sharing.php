<?php

declare(strict_types=1);

namespace Almanac\Relations;

/** Whose address or phone two who are related use from now on, as seen from one of them. */
enum Sharing: string
{
    case Own = 'own';
    case Theirs = 'theirs';
    case Ours = 'ours';
}
