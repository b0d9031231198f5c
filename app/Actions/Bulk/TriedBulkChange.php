<?php

declare(strict_types=1);

namespace App\Actions\Bulk;

/** What a bulk change would do. */
final readonly class TriedBulkChange
{
    /**
     * @param int $same of how many it is so already
     * @param int $refused how many cannot have it, as far as can be known before
     * @param string $why they cannot
     * @param list<array{id: int, name: string, label: string, from: string, to: string, refusal: string}> $examples
     */
    public function __construct(
        public string $title,
        public int $total,
        public int $same,
        public int $refused,
        public string $why,
        public array $examples,
    ) {
    }
}
