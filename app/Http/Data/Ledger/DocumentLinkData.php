<?php

declare(strict_types=1);

namespace App\Http\Data\Ledger;

use App\Models\Document;
use OpenApi\Attributes as OA;

/** Another document of the same chain. */
#[OA\Schema(schema: 'DocumentLink')]
final readonly class DocumentLinkData
{
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property(description: 'As in Invoice I2026-0001.')]
        public string $title,
        #[OA\Property]
        public string $stateWords,
    ) {
    }

    public static function of(Document $document): self
    {
        return new self($document->id, $document->title(), $document->state->words($document->kind));
    }
}
