<?php

declare(strict_types=1);

namespace Almanac\Interchange;

/** What was read of one line: the record, or what is wrong with it. */
final readonly class ReadLine
{
    /** @param  list<array{int, string}>  $problems  the column, from nought, and what to do; a row without any can be taken */
    public function __construct(public ?PartyRow $row, public array $problems)
    {
    }
}
