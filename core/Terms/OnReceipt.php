<?php

declare(strict_types=1);

namespace Almanac\Terms;

use Almanac\Calendar\Day;

/** Due on the document's own date; written COD or due on receipt. */
final readonly class OnReceipt implements DueRule
{
    public function dueFor(Day $documentDate): Day
    {
        return $documentDate;
    }

    public function explain(Day $documentDate): string
    {
        return 'due on receipt, the document’s own date,';
    }

    public function toShorthand(): string
    {
        return 'due on receipt';
    }
}
