<?php

declare(strict_types=1);

namespace Almanac\Records;

use Almanac\Refusal;

/** Nothing is known of a day before the record was added. */
final class NotYetKept extends Refusal
{
    public static function before(string $added): self
    {
        return new self("It was added on $added. Choose that day or a later one.");
    }

    public static function toCome(): self
    {
        return new self('That day is still to come. Choose today or an earlier one.');
    }
}
