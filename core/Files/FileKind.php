<?php

declare(strict_types=1);

namespace Almanac\Files;

use Almanac\Titled;

/** What a file on a record is. */
enum FileKind: string implements Titled
{
    case Contract = 'contract';
    case Certificate = 'certificate';
    case Form = 'form';
    case Photo = 'photo';
    case Letter = 'letter';
    case Other = 'other';

    public function title(): string
    {
        return $this->value;
    }
}
