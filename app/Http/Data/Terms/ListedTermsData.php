<?php

declare(strict_types=1);

namespace App\Http\Data\Terms;

use App\Models\ListedTerms;
use OpenApi\Attributes as OA;

/** An entry of the office's list of payment terms. */
#[OA\Schema(schema: 'ListedTerms')]
final readonly class ListedTermsData
{
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $shorthand,
        #[OA\Property]
        public bool $isClientDefault,
        #[OA\Property]
        public bool $isVendorDefault,
        #[OA\Property(description: 'Kept where they are used, and offered no more.')]
        public bool $isRetired,
    ) {
    }

    public static function of(ListedTerms $listed): self
    {
        return new self(
            $listed->id,
            $listed->name,
            $listed->shorthand,
            $listed->is_client_default,
            $listed->is_vendor_default,
            $listed->is_retired,
        );
    }
}
