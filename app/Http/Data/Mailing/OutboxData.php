<?php

declare(strict_types=1);

namespace App\Http\Data\Mailing;

use OpenApi\Attributes as OA;

/** A page of the outbox. */
#[OA\Schema(schema: 'Outbox')]
final readonly class OutboxData
{
    /** @param  list<SentMessageData>  $messages */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/SentMessage'))]
        public array $messages,
        #[OA\Property]
        public int $total,
        #[OA\Property]
        public int $page,
        #[OA\Property]
        public int $pages,
    ) {
    }
}
