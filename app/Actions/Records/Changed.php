<?php

declare(strict_types=1);

namespace App\Actions\Records;

/** What a change of sections has made different. */
final readonly class Changed
{
    /**
     * @param int|null $causeId the state that those of the others name as their cause; null when nothing is different
     * @param list<int> $subjectIds whose sections are different
     */
    public function __construct(public ?int $causeId, public array $subjectIds)
    {
    }
}
