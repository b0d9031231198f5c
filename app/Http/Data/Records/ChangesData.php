<?php

declare(strict_types=1);

namespace App\Http\Data\Records;

use OpenApi\Attributes as OA;

/** A stretch of the change log, the newest first. */
#[OA\Schema(schema: 'Changes')]
final readonly class ChangesData
{
    /** @param  list<ChangeData>  $changes */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/Change'))]
        public array $changes,
        #[OA\Property(description: 'Pass it as "before" for the next stretch; null at the end.', nullable: true)]
        public ?int $before,
    ) {
    }
}
