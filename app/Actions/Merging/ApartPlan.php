<?php

declare(strict_types=1);

namespace App\Actions\Merging;

use Almanac\Merging\SectionApart;
use App\Models\Allocation;
use App\Models\Merge;
use App\Models\Party;

/** What becomes of each record when they are taken apart. */
final readonly class ApartPlan
{
    /**
     * @param Party $kept the one that stayed
     * @param array<int, string> $names what each was called, by its number; the one that stayed first
     * @param list<array{int, list<string>}> $back to whom something goes back, and what: "3 documents"
     * @param list<ApartItem> $items that came since
     * @param list<ApartChange> $changes
     * @param list<string> $lost what cannot be brought back, and what is undone, in whole sentences
     * @param array<string, SectionApart> $sections those that were saved since
     * @param list<Allocation> $between what goes to two: they are taken back
     * @param string $seen changes when something else comes or is changed
     */
    public function __construct(
        public Merge $merge,
        public Party $kept,
        public array $names,
        public array $back,
        public array $items,
        public array $changes,
        public array $lost,
        public array $sections,
        public array $between,
        public string $seen,
    ) {
    }
}
