<?php

declare(strict_types=1);

namespace Almanac\Lists;

/** What was understood of a sentence. */
final readonly class Reading
{
    /**
     * @param Filter $filter of what was understood
     * @param list<Misread> $misread what was not, in the order of the sentence
     */
    public function __construct(public Filter $filter, public array $misread)
    {
    }

    /** Whether the filter asks all that the sentence does. */
    public function isWhole(): bool
    {
        return array_filter($this->misread, fn (Misread $one) => $one->isLeftOut) === [];
    }
}
