<?php

declare(strict_types=1);

namespace App\Http\Data\Records;

use OpenApi\Attributes as OA;

/** A stretch of a history, the newest first. */
#[OA\Schema(schema: 'Stream')]
final readonly class StreamData
{
    /** @param  list<StreamLineData>  $lines */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/StreamLine'))]
        public array $lines,
        #[OA\Property(description: 'Pass it as "before" for the next stretch; null at the end.', nullable: true)]
        public ?string $before,
    ) {
    }
}
