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
     * @param list<OfferedData> $lists
     * @param list<NamedCodeData> $languages
     * @param list<NamedCodeData> $vatCountries
     * @param list<ColleagueData> $colleagues
     * @param list<ListedTermsData> $terms
     */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/NamedCode'))] public array $countries,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/AddressLayout'))] public array $layouts,
        #[
            OA\Property(
                description: 'The office’s own lists, without what is retired.',
                items: new OA\Items(ref: '#/components/schemas/Offered'),
            ),
        ]
        public array $lists,
        #[OA\Property(description: 'ISO 639.', items: new OA\Items(ref: '#/components/schemas/NamedCode'))] public array $languages,
        #[
            OA\Property(
                description: 'Whose VAT numbers are known: ISO 3166-1 alpha-2.',
                items: new OA\Items(ref: '#/components/schemas/NamedCode'),
            ),
        ]
        public array $vatCountries,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/Colleague'))]
        public array $colleagues,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/ListedTerms'))]
        public array $terms,
    ) {
    }
}
