<?php

declare(strict_types=1);

namespace App\Http\Data\Records;

use OpenApi\Attributes as OA;

/** The section "Tax numbers". */
#[OA\Schema(schema: 'TaxNumbers')]
final readonly class TaxNumbersData
{
    /** @param  list<TaxNumberData>  $numbers */
    public function __construct(
        #[OA\Property]
        public int $version,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/TaxNumber'))]
        public array $numbers,
    ) {
    }
}
