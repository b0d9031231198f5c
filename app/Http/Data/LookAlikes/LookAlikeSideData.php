<?php

declare(strict_types=1);

namespace App\Http\Data\LookAlikes;

use OpenApi\Attributes as OA;

/** One thing of each of several records. */
#[OA\Schema(schema: 'LookAlikeSide')]
final readonly class LookAlikeSideData
{
    /** @param  list<list<string>>  $values */
    public function __construct(
        #[OA\Property]
        public string $title,
        #[OA\Property(items: new OA\Items(type: 'array', items: new OA\Items(type: 'string')), description: 'Of each record what it has.')]
        public array $values,
    ) {
    }
}
