<?php

declare(strict_types=1);

namespace App\Http\Data\LookAlikes;

use OpenApi\Attributes as OA;

/** One of those behind a shared line. */
#[OA\Schema(schema: 'LineHolder')]
final readonly class LineHolderData
{
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $name,
        #[OA\Property(description: 'When they were last spoken or written to, for reading; empty for never.')]
        public string $spoken,
    ) {
    }
}
