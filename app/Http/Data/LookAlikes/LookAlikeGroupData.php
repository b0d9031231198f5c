<?php

declare(strict_types=1);

namespace App\Http\Data\LookAlikes;

use OpenApi\Attributes as OA;

/** Records that look alike, side by side. */
#[OA\Schema(schema: 'LookAlikeGroup')]
final readonly class LookAlikeGroupData
{
    /**
     * @param list<LookAlikeSideData> $lines
     * @param list<LookAlikePairData> $pairs
     * @param list<SharedLineData> $shared
     */
    public function __construct(
        #[OA\Property(ref: '#/components/schemas/LookAlikeGroupRow')]
        public LookAlikeGroupRowData $row,
        #[OA\Property(
            items: new OA\Items(ref: '#/components/schemas/LookAlikeSide'),
            description: 'What each of them has, in the order of the records.',
        )]
        public array $lines,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/LookAlikePair'))]
        public array $pairs,
        #[OA\Property(
            items: new OA\Items(ref: '#/components/schemas/SharedLine'),
            description: 'Phones and emails that several of them have.',
        )]
        public array $shared,
    ) {
    }
}
