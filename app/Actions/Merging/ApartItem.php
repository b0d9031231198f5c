<?php

declare(strict_types=1);

namespace App\Actions\Merging;

/** Something that came while records were one, and to whom it goes. */
final readonly class ApartItem
{
    /**
     * @param string $key what it is: "documents:12"
     * @param string $kind as a heading: "Documents"
     * @param list<array{string, int}> $rows the tables and numbers of what goes together
     * @param int $partyId to whom it goes
     * @param bool $isFixed whether it goes with something that is theirs already
     * @param string $note why, or what follows
     */
    public function __construct(
        public string $key,
        public string $kind,
        public string $text,
        public array $rows,
        public int $partyId,
        public bool $isFixed = false,
        public string $note = '',
    ) {
    }
}
