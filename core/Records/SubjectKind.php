<?php

declare(strict_types=1);

namespace Almanac\Records;

/** What has sections, versions and states, a log, notes, files, reminders and cautions. */
enum SubjectKind: string
{
    case Party = 'party';
    case Engagement = 'engagement';
}
