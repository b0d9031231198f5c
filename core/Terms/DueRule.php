<?php

declare(strict_types=1);

namespace Almanac\Terms;

use Almanac\Calendar\Day;

/** How the due date follows from a document's date, before any roll to a business day. */
interface DueRule
{
    /** Never before the document's date. */
    public function dueFor(Day $documentDate): Day;

    /** How it got there, to be followed by "is" and the date: "31 Jan 2026, plus 30 days,". */
    public function explain(Day $documentDate): string;

    /** The rule in the shorthand that Shorthand::read() takes back. */
    public function toShorthand(): string;
}
