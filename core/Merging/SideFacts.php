<?php

declare(strict_types=1);

namespace Almanac\Merging;

use Almanac\Records\PartyKind;

/** What decides whether a record may become one with another. */
final readonly class SideFacts
{
    /**
     * @param array<string, list<string>> $taxNumbers by what they are called; by which they are compared, never shown
     * @param array<string, list<string>> $codes numbers elsewhere, by where
     * @param array<string, string> $currencies ISO 4217, by side of the books
     * @param array<string, bool> $hasOpen whether money is open, by side of the books
     * @param array<int, string> $related what it is to others, in words, by their number
     * @param list<string> $billed numbers of theirs by which its bills and credits are known
     * @param list<string> $openings the opening balances that it has
     * @param list<string> $editedBy who is changing it now
     */
    public function __construct(
        public int $id,
        public PartyKind $kind,
        public string $name,
        public bool $isArchived = false,
        public array $taxNumbers = [],
        public array $codes = [],
        public bool $hasBankOnHold = false,
        public array $currencies = [],
        public array $hasOpen = [],
        public array $related = [],
        public array $billed = [],
        public array $openings = [],
        public array $editedBy = [],
    ) {
    }
}
