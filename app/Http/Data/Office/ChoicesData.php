<?php

declare(strict_types=1);

namespace App\Http\Data\Office;

use App\Http\Data\Terms\ListedTermsData;
use OpenApi\Attributes as OA;

/** What the fields of a record offer to choose from. */
#[OA\Schema(schema: 'Choices')]
final readonly class ChoicesData
{
    /**
     * @param list<NamedCodeData> $countries
     * @param list<AddressLayoutData> $layouts
     * @param list<string> $addressUses
     * @param list<string> $contactUses
     * @param list<string> $phoneLabels
     * @param list<string> $emailLabels
     * @param list<string> $websiteLabels
     * @param list<string> $duties
     * @param list<ListedTermsData> $terms
     */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/NamedCode'))]
        public array $countries,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/AddressLayout'))]
        public array $layouts,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $addressUses,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $contactUses,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $phoneLabels,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $emailLabels,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $websiteLabels,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $duties,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/ListedTerms'))]
        public array $terms,
    ) {
    }
}
