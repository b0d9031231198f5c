<?php

declare(strict_types=1);

namespace App\Actions\Records;

/** What a change of sections has made different. */
final readonly class Changed
{
    /**
     * @param int|null $causeId the state that those of the others name as their cause; null when nothing is different
     * @param list<int> $subjectIds whose sections are different
     * @param list<int> $lookedUpIds of them, those of whom what is looked up over all records may be different too
     */
    private function __construct(public ?int $causeId, public array $subjectIds, public array $lookedUpIds)
    {
    }

    public static function nothing(): self
    {
        return new self(null, [], []);
    }

    /** @param  list<ChangedSection>  $sections  those that are different */
    public static function of(int $causeId, array $sections): self
    {
        $ids = fn (array $some) => array_values(array_unique(array_map(fn (ChangedSection $one) => $one->section->subject->id, $some)));

        return new self($causeId, $ids($sections), $ids(array_filter($sections, fn (ChangedSection $one) => $one->isLookedUp())));
    }
}
