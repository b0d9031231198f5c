<?php

declare(strict_types=1);

namespace App\Http\Data\Records;

use OpenApi\Attributes as OA;

/** The section "Classification". */
#[OA\Schema(schema: 'Classification')]
final readonly class ClassificationData
{
    /**
     * @param list<string> $types
     * @param list<string> $tags
     * @param list<CodeData> $codes
     */
    public function __construct(
        #[OA\Property]
        public int $version,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $types,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $tags,
        #[OA\Property(description: 'Who looks after the record.', ref: '#/components/schemas/InheritedColleague')]
        public InheritedColleagueData $owner,
        #[OA\Property(ref: '#/components/schemas/InheritedColleague')]
        public InheritedColleagueData $accountManager,
        #[OA\Property(ref: '#/components/schemas/InheritedColleague')]
        public InheritedColleagueData $buyer,
        #[OA\Property]
        public string $source,
        #[OA\Property(description: 'ISO 639; empty for the office’s own.')]
        public string $language,
        #[OA\Property]
        public string $languageName,
        #[OA\Property(description: '1 to 5, the best; it never leaves the office.', nullable: true)]
        public ?int $grade,
        #[OA\Property(description: 'Since when they want no letters, for typing; empty where they take them.')]
        public string $noLettersOn,
        #[OA\Property(description: 'How they said so.')]
        public string $noLettersHow,
        #[OA\Property(description: 'Both, for reading.')]
        public string $noLettersText,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/Code'))]
        public array $codes,
    ) {
    }
}
