<?php

declare(strict_types=1);

namespace Almanac\Ledger;

use Almanac\Titled;

/** From which day the age of a document counts; the office's choice. */
enum AgeingBy: string implements Titled
{
    case DueDate = 'due-date';
    case DocumentDate = 'document-date';

    public function title(): string
    {
        return match ($this) {
            self::DueDate => 'due date',
            self::DocumentDate => 'document’s date',
        };
    }
}
