<?php

declare(strict_types=1);

namespace App\Http\Data\Interchange;

use OpenApi\Attributes as OA;

/** A page of the lines of a file. */
#[OA\Schema(schema: 'ImportLines')]
final readonly class ImportLinesData
{
    /** @param  list<ImportLineData>  $lines */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/ImportLine'))]
        public array $lines,
        #[OA\Property]
        public int $total,
        #[OA\Property]
        public int $page,
        #[OA\Property]
        public int $pages,
    ) {
    }
}
