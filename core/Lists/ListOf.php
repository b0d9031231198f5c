<?php

declare(strict_types=1);

namespace Almanac\Lists;

/** What there are lists of. */
enum ListOf: string
{
    case Records = 'parties';
    case Documents = 'documents';
    case Engagements = 'engagements';
}
