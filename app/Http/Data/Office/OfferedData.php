<?php

declare(strict_types=1);

namespace App\Http\Data\Office;

use OpenApi\Attributes as OA;

/** What one of the office's lists offers. */
#[OA\Schema(schema: 'Offered')]
final readonly class OfferedData
{
    /** @param  list<string>  $names */
    public function __construct(
        #[OA\Property]
        public string $list,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $names,
    ) {
    }
}
