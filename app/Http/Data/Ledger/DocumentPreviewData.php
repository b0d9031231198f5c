<?php

declare(strict_types=1);

namespace App\Http\Data\Ledger;

use OpenApi\Attributes as OA;

/** What a document would be, before it is saved. */
#[OA\Schema(schema: 'DocumentPreview')]
final readonly class DocumentPreviewData
{
    /** @param  list<PreviewProblemData>  $problems */
    public function __construct(
        #[OA\Property(description: 'Null while something is missing.', ref: '#/components/schemas/Document', nullable: true)]
        public ?DocumentData $document,
        #[OA\Property(ref: '#/components/schemas/DocumentUse')]
        public UseData $use,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/PreviewProblem'))]
        public array $problems,
    ) {
    }
}
