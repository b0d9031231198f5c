<?php

declare(strict_types=1);

namespace App\Actions\Records;

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
}
