<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Records\ComparedFact;
use Almanac\Records\SectionName;
use App\Models\SectionState;

/** A section on two days. */
final readonly class ComparedSection
{
    /**
     * @param SectionState|null $kept the state of the first day; null where it has never been saved
     * @param list<ComparedFact> $facts
     */
    public function __construct(public SectionName $name, public ?SectionState $kept, public array $facts)
    {
    }

    public function isDifferent(): bool
    {
        return array_filter($this->facts, fn (ComparedFact $fact) => $fact->isDifferent()) !== [];
    }
}
