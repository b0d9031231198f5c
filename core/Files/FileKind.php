<?php

declare(strict_types=1);

namespace Almanac\Files;

/** What a file on a record is. */
enum FileKind: string
{
    case Contract = 'contract';
    case Certificate = 'certificate';
    case Form = 'form';
    case Photo = 'photo';
    case Letter = 'letter';
    case Other = 'other';
}
