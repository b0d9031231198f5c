<?php

declare(strict_types=1);

namespace App\Http\Data\Records;

use OpenApi\Attributes as OA;

/** A detail sheet as a record shows it. */
#[OA\Schema(schema: 'RecordSheet')]
final readonly class RecordSheetData
{
    /** @param  list<RecordFieldData>  $fields */
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $name,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/RecordField'))]
        public array $fields,
    ) {
    }
}
