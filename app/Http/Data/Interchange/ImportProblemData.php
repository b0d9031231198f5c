<?php

declare(strict_types=1);

namespace App\Http\Data\Interchange;

use OpenApi\Attributes as OA;

/** What cannot be read of a file, and where. */
#[OA\Schema(schema: 'ImportProblem')]
final readonly class ImportProblemData
{
    public function __construct(
        #[OA\Property]
        public int $line,
        #[OA\Property(description: 'The column.')]
        public string $field,
        #[OA\Property]
        public string $message,
    ) {
    }
}
