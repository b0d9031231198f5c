<?php

declare(strict_types=1);

namespace App\Validation;

use Almanac\Details\FieldReader;
use App\Models\Office;
use App\Time\Clock;

/** Reads fields of detail sheets the way this office writes dates and amounts. */
final readonly class FieldReaders
{
    public function __construct(private Clock $clock)
    {
    }

    public function ofOffice(): FieldReader
    {
        $office = Office::current();

        return FieldReader::of($this->clock->reader($office), $office->currency(), $office->decimalSign());
    }
}
