<?php

declare(strict_types=1);

namespace App\Http\Data\Mailing;

use OpenApi\Attributes as OA;

/** A sheet of labels, or an envelope. */
#[OA\Schema(schema: 'LabelSheet')]
final readonly class LabelSheetData
{
    public function __construct(
        #[OA\Property]
        public string $key,
        #[OA\Property]
        public string $title,
        #[OA\Property(description: 'How many labels it has.')]
        public int $labels,
        #[OA\Property]
        public bool $isEnvelope,
    ) {
    }
}
