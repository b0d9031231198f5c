<?php

declare(strict_types=1);

namespace App\Http\Data\Records;

use Almanac\Calendar\Day;
use App\Models\Party;
use OpenApi\Attributes as OA;

/** The section "Name and roles". The parts of a person's name are empty for a company, and the other way round. */
#[OA\Schema(schema: 'Identity')]
final readonly class IdentityData
{
    private function __construct(
        #[OA\Property]
        public int $version,
        #[OA\Property]
        public string $prefix,
        #[OA\Property]
        public string $given,
        #[OA\Property]
        public string $middle,
        #[OA\Property]
        public string $family,
        #[OA\Property]
        public string $suffix,
        #[OA\Property]
        public string $preferred,
        #[OA\Property]
        public string $pronouns,
        #[OA\Property]
        public string $postNominals,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $legal,
        #[OA\Property]
        public bool $isClient,
        #[OA\Property]
        public bool $isVendor,
        #[OA\Property(description: 'On first-name terms.')]
        public bool $isInformal,
        #[OA\Property]
        public bool $isDeceased,
        #[OA\Property(description: 'As it is typed again when it is edited; empty when it is not known.')]
        public string $deceasedOn,
        #[OA\Property(description: 'A birth date is kept; it is private, and told when it is asked for.')]
        public bool $hasBirthDate,
        #[OA\Property(description: 'In whole years today, or on the day of death.', nullable: true)]
        public ?int $age,
        #[OA\Property(description: 'Of a company: the name on a payment, when it is another.')]
        public string $payee,
        #[OA\Property]
        public string $legalForm,
        #[OA\Property]
        public string $registrationNumber,
        #[OA\Property]
        public string $industry,
    ) {
    }

    public static function of(Party $party, int $version, Day $today): self
    {
        return new self(
            $version,
            $party->prefix,
            $party->given,
            $party->middle,
            $party->family,
            $party->suffix,
            $party->preferred,
            $party->pronouns,
            $party->post_nominals,
            $party->company_name,
            $party->legal_name,
            $party->is_client,
            $party->is_vendor,
            $party->is_informal,
            $party->is_deceased,
            $party->deceased_on?->toText() ?? '',
            $party->born_on !== null,
            $party->birthDay()?->yearsUntil($party->deceased_on ?? $today),
            $party->payee_name,
            $party->legal_form,
            $party->registration_number,
            $party->industry,
        );
    }
}
