<?php

declare(strict_types=1);

namespace App\Http\Requests\Records;

use Almanac\Records\PartyKind;
use App\Http\Requests\Rules\IdOrNull;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'PartyInput', required: ['kind', 'isClient', 'isVendor'], properties: [
    new OA\Property('kind', type: 'string', enum: ['person', 'company']),
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
    new OA\Property('companyId', description: 'The company at which a person gets a position.', type: 'integer', nullable: true),
    new OA\Property('title', description: 'The title of that position.', type: 'string'),
])]
final class AddPartyRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return NameRules::RULES + [
            'kind' => ['required', Rule::enum(PartyKind::class)],
            'isClient' => ['required', 'boolean:strict'],
            'isVendor' => ['required', 'boolean:strict'],
            'companyId' => ['sometimes', new IdOrNull],
            'title' => ['sometimes', 'string', 'max:200'],
        ];
    }
}
