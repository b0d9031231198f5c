<?php

declare(strict_types=1);

namespace App\Http\Data\Ledger;

use App\Models\DocumentEvent;
use OpenApi\Attributes as OA;

/** Something that happened to a document. */
#[OA\Schema(schema: 'DocumentEvent')]
final readonly class DocumentEventData
{
    private function __construct(
        #[OA\Property]
        public string $text,
        #[OA\Property]
        public string $by,
        #[OA\Property(format: 'date-time')]
        public string $at,
    ) {
    }

    public static function of(DocumentEvent $event): self
    {
        return new self($event->text, $event->user->name, $event->at->toAtomString());
    }
}
