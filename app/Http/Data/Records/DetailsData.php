<?php

declare(strict_types=1);

namespace App\Http\Data\Records;

use OpenApi\Attributes as OA;

/** The section "Details": the firm's own fields. */
#[OA\Schema(schema: 'Details')]
final readonly class DetailsData
{
    /** @param  list<RecordSheetData>  $sheets */
    public function __construct(
        #[OA\Property]
        public int $version,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/RecordSheet'))]
        public array $sheets,
    ) {
    }
}
