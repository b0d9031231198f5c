<?php

declare(strict_types=1);

namespace App\Actions\Merging;

use Almanac\Records\SectionName;
use App\Actions\Records\Section;

/** What a section says of the record that several become. */
final readonly class PlannedSection
{
    /**
     * @param Section|null $section null for what is not saved as one: bank details
     * @param list<PlannedValue> $values
     * @param list<PlannedLine> $lines
     * @param list<array{string, list<string>}> $members names out of the office's lists: the title, and all that any of them has
     * @param array<string, mixed> $state as the section writes it
     * @param array<int, int> $doubles the rows that go, and those that say the same and stay
     */
    public function __construct(
        public SectionName $name,
        public ?Section $section,
        public array $values,
        public array $lines,
        public array $members,
        public array $state,
        public array $doubles,
    ) {
    }
}
