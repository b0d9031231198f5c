<?php

declare(strict_types=1);

namespace App\Http\Data\Office;

use OpenApi\Attributes as OA;

/** A page of the log of the office. */
#[OA\Schema(schema: 'ActPage')]
final readonly class ActPageData
{
    /** @param  list<ActData>  $acts */
    public function __construct(
        #[OA\Property(description: 'The newest first.', items: new OA\Items(ref: '#/components/schemas/Act'))]
        public array $acts,
        #[OA\Property(description: 'To go on from; null at the end.', nullable: true)]
        public ?int $before,
    ) {
    }
}
