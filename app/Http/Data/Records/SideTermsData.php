<?php

declare(strict_types=1);

namespace App\Http\Data\Records;

use App\Http\Data\Terms\TermsPreviewData;
use OpenApi\Attributes as OA;

/** The section "When we bill them" or "When we pay them". */
#[OA\Schema(schema: 'SideTerms')]
final readonly class SideTermsData
{
    /** @param  list<SideFieldData>  $fields */
    public function __construct(
        #[OA\Property]
        public int $version,
        #[OA\Property(description: 'The entry of the office’s list that was chosen, if one was.', nullable: true)]
        public ?int $listedId,
        #[OA\Property(description: 'What was typed instead, if it was.', nullable: true)]
        public ?string $shorthand,
        #[OA\Property(enum: ['own', 'office', 'parent', 'none'])]
        public string $source,
        #[OA\Property(description: 'From whom they are inherited; empty when they are its own.')]
        public string $from,
        #[OA\Property(description: 'Its name in the office’s list, or empty.')]
        public string $name,
        #[OA\Property(description: 'The shorthand in force, or empty when the office has no default.')]
        public string $inForce,
        #[OA\Property(description: 'For a document of today.', ref: '#/components/schemas/TermsPreview', nullable: true)]
        public ?TermsPreviewData $today,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/SideField'))]
        public array $fields,
    ) {
    }
}
