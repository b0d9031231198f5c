<?php

declare(strict_types=1);

namespace Almanac\Merging;

/** What has become of it that records were to be made one. */
enum MergeState: string
{
    /** Somebody asks one who may do it. */
    case Proposed = 'proposed';

    case Done = 'done';

    /** The records are what they were, with what came since. */
    case Apart = 'apart';
}
