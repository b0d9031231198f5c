<?php

declare(strict_types=1);

namespace App\Http\Data\Merging;

use OpenApi\Attributes as OA;

/** A figure of each record, and of what they become. */
#[OA\Schema(schema: 'MergeFigure')]
final readonly class MergeFigureData
{
    /** @param  list<string>  $ofEach */
    public function __construct(
        #[OA\Property]
        public string $title,
        #[OA\Property(description: 'In the order of the records; empty for none.', items: new OA\Items(type: 'string'))]
        public array $ofEach,
        #[OA\Property]
        public string $together,
    ) {
    }
}
