<?php

declare(strict_types=1);

namespace App\Http\Requests\Records;

use OpenApi\Attributes as OA;

#[
    OA\Schema(
        schema: 'IdentityInput',
        required: ['version', 'isClient', 'isVendor'],
        properties: [
            new OA\Property('version', type: 'integer'),
            new OA\Property(
                'follow',
                ref: '#/components/schemas/FollowInput',
                description: 'The documents that take over what is saved.',
                nullable: true,
            ),
            new OA\Property('prefix', type: 'string'),
            new OA\Property('given', type: 'string'),
            new OA\Property('middle', type: 'string'),
            new OA\Property('family', type: 'string'),
            new OA\Property('suffix', type: 'string'),
            new OA\Property('preferred', type: 'string'),
            new OA\Property('pronouns', type: 'string'),
            new OA\Property('postNominals', type: 'string'),
            new OA\Property('name', description: 'Of a company.', type: 'string'),
            new OA\Property('legal', description: 'Of a company.', type: 'string'),
            new OA\Property('isClient', type: 'boolean'),
            new OA\Property('isVendor', type: 'boolean'),
            new OA\Property('isInformal', description: 'Of a person: on first-name terms.', type: 'boolean'),
            new OA\Property('isDeceased', description: 'Of a person.', type: 'boolean'),
            new OA\Property('deceasedOn', description: 'A date as people type it, or empty when it is not known.', type: 'string'),
            new OA\Property('birthDate', description: 'Of a person: null leaves it as it is.', type: 'string', nullable: true),
            new OA\Property('payee', description: 'Of a company: the name on a payment, when it is another.', type: 'string'),
            new OA\Property('legalForm', description: 'Of a company.', type: 'string'),
            new OA\Property('registrationNumber', description: 'Of a company.', type: 'string'),
            new OA\Property('industry', description: 'Of a company.', type: 'string'),
        ],
    ),
]
final class IdentityRequest extends SectionRequest
{
    protected function sectionRules(): array
    {
        return NameRules::RULES + [
            'isClient' => ['required', 'boolean:strict'],
            'isVendor' => ['required', 'boolean:strict'],
            'isInformal' => ['sometimes', 'boolean:strict'],
            'isDeceased' => ['sometimes', 'boolean:strict'],
            'deceasedOn' => ['sometimes', 'string', self::LINE],
            'birthDate' => ['sometimes', 'nullable', 'string', self::LINE],
            'payee' => ['sometimes', 'string', self::LINE],
            'legalForm' => ['sometimes', 'string', self::LINE],
            'registrationNumber' => ['sometimes', 'string', self::LINE],
            'industry' => ['sometimes', 'string', self::LINE],
        ];
    }
}
