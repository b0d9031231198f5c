<?php

declare(strict_types=1);

namespace App\Http\Data\Interchange;

use OpenApi\Attributes as OA;

/** A column of a file. */
#[OA\Schema(schema: 'ImportColumn')]
final readonly class ImportColumnData
{
    /** @param  list<string>  $samples */
    public function __construct(
        #[OA\Property]
        public string $heading,
        #[OA\Property(description: 'The first few that differ.', items: new OA\Items(type: 'string'))]
        public array $samples,
        #[OA\Property(description: 'In how many lines something stands there.')]
        public int $filled,
        #[OA\Property(description: 'What it is; empty where it is left out.')]
        public string $target,
    ) {
    }
}
