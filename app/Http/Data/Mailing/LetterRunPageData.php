<?php

declare(strict_types=1);

namespace App\Http\Data\Mailing;

use OpenApi\Attributes as OA;

/** A letter to many, with what came of it for each record. */
#[OA\Schema(schema: 'LetterRunPage')]
final readonly class LetterRunPageData
{
    /** @param  list<LetterOfRunData>  $letters */
    public function __construct(
        #[OA\Property(ref: '#/components/schemas/LetterRun')]
        public LetterRunData $run,
        #[OA\Property(description: 'Who was left out first.', items: new OA\Items(ref: '#/components/schemas/LetterOfRun'))]
        public array $letters,
    ) {
    }
}
