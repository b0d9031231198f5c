<?php

declare(strict_types=1);

namespace App\Actions\Records;

use Almanac\Records\SectionName;
use App\Models\Party;

/** Sections of one record that were saved together, and what came of it. */
final readonly class SavedSections
{
    /**
     * @param list<SectionName> $names
     * @param Party $party as it was saved
     * @param array<string, mixed> $was its columns before
     * @param Changed $changed whose sections are different
     */
    public function __construct(private array $names, public Party $party, private array $was, public Changed $changed)
    {
    }

    /** Whether one of these is among them. */
    public function isOf(SectionName ...$names): bool
    {
        return array_filter($this->names, fn (SectionName $name) => in_array($name, $names, true)) !== [];
    }

    /** Whether a column of the record is another. */
    public function isOther(string $column): bool
    {
        return $this->party->getAttribute($column) !== ($this->was[$column] ?? null);
    }
}
