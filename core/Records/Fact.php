<?php

declare(strict_types=1);

namespace Almanac\Records;

/** One thing a section says, in words: "Phone" is "(802) 555-0142, office, primary". */
final readonly class Fact
{
    public function __construct(public string $label, public string $value)
    {
    }
}
