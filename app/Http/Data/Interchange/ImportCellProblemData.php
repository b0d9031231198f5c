<?php

declare(strict_types=1);

namespace App\Http\Data\Interchange;

use OpenApi\Attributes as OA;

/** What is wrong in a cell of a line, and how to mend it. */
#[OA\Schema(schema: 'ImportCellProblem')]
final readonly class ImportCellProblemData
{
    public function __construct(
        #[OA\Property(description: 'In the file: a document may have several.')]
        public int $line,
        #[OA\Property(description: 'From nought.')]
        public int $column,
        #[OA\Property(description: 'What stands in it.')]
        public string $text,
        #[OA\Property]
        public string $message,
    ) {
    }
}
