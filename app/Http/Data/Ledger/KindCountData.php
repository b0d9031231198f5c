<?php

declare(strict_types=1);

namespace App\Http\Data\Ledger;

use Almanac\Ledger\DocumentKind;
use OpenApi\Attributes as OA;

/** How many documents of one kind and state there are. */
#[OA\Schema(schema: 'KindCount')]
final readonly class KindCountData
{
    public function __construct(
        #[OA\Property(enum: DocumentKind::class)]
        public string $kind,
        #[OA\Property]
        public string $kindTitle,
        #[OA\Property]
        public string $state,
        #[OA\Property]
        public string $stateWords,
        #[OA\Property]
        public int $count,
    ) {
    }
}
