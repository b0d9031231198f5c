<?php

declare(strict_types=1);

namespace Almanac\Access;

/** Everybody who signs in may read; for the rest a permission is needed. */
enum Permission: string
{
    case ChangeRecords = 'change records';
    case ApproveChanges = 'approve changes';
    case SeePrivate = 'see private values';
    case RunOffice = 'run the office';
}
