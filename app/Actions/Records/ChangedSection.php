<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Records\SectionName;
use App\Models\Party;

/** A section that is another after a change. */
final readonly class ChangedSection
{
    /**
     * @param array<string, mixed> $was its state before
     * @param array<string, mixed> $is its state now
     */
    public function __construct(public SectionOf $section, public array $was, public array $is)
    {
    }

    /** Whether what is looked up over all records says anything of it: where somebody works is found at the person alone. */
    public function isLookedUp(): bool
    {
        $subject = $this->section->subject;

        return $this->section->name !== SectionName::Positions || ! $subject instanceof Party || $subject->isPerson();
    }
}
