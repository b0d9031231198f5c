<?php

declare(strict_types=1);

namespace Almanac;

/** One of a few that are kept by their code, and shown by their title. */
interface Titled extends \BackedEnum
{
    public function title(): string;
}
