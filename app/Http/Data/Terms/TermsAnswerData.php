<?php

declare(strict_types=1);

namespace App\Http\Data\Terms;

use App\Http\Data\Ledger\PreviewProblemData;
use OpenApi\Attributes as OA;

/** What terms that are being typed mean so far, or what is missing. */
#[OA\Schema(schema: 'TermsAnswer')]
final readonly class TermsAnswerData
{
    /** @param  list<PreviewProblemData>  $problems */
    public function __construct(
        #[OA\Property(description: 'Null while something is missing.', ref: '#/components/schemas/TermsPreview', nullable: true)]
        public ?TermsPreviewData $preview,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/PreviewProblem'))]
        public array $problems,
    ) {
    }
}
