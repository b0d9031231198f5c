<?php

declare(strict_types=1);

namespace App\Http\Data\LookAlikes;

use OpenApi\Attributes as OA;

/** A page of what is to settle. */
#[OA\Schema(schema: 'LookAlikePage')]
final readonly class LookAlikePageData
{
    /**
     * @param list<LookAlikeGroupRowData> $rows
     * @param list<array{code: string, name: string, count: int}> $reasons
     */
    public function __construct(
        #[OA\Property(description: 'Groups, as they are asked for.')]
        public int $total,
        #[OA\Property(description: 'How many of them are nearly sure.')]
        public int $sure,
        #[OA\Property]
        public int $page,
        #[OA\Property]
        public int $pages,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/LookAlikeGroupRow'))]
        public array $rows,
        #[OA\Property(items: new OA\Items(required: ['code', 'name', 'count'], properties: [
            new OA\Property('code', type: 'string'), new OA\Property('name', type: 'string'), new OA\Property('count', type: 'integer'),
        ], type: 'object'), description: 'How many there are by reason, whatever is asked for.')]
        public array $reasons,
        #[OA\Property(ref: '#/components/schemas/LookAlikeScan', nullable: true)]
        public ?LookAlikeScanData $scan,
    ) {
    }
}
