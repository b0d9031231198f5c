<?php

declare(strict_types=1);

namespace Almanac\Ledger;

/** From which day the age of a document counts; the office's choice. */
enum AgeingBy: string
{
    case DueDate = 'due date';
    case DocumentDate = 'document date';
}
