<?php

declare(strict_types=1);

namespace App\Http\Requests\Records;

use Almanac\Records\PartyKind;
use App\Http\Requests\Rules\IdOrNull;
use App\Http\Requests\Rules\ItemList;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

#[
    OA\Schema(
        schema: 'PartyInput',
        required: ['kind', 'isClient', 'isVendor'],
        properties: [
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
            new OA\Property('companyName', description: 'Of a person: a company that is added on the way.', type: 'string'),
            new OA\Property(
                'people',
                description: 'Of a company: who works there, added with it.',
                type: 'array',
                items: new OA\Items(ref: '#/components/schemas/NewPersonInput'),
            ),
            new OA\Property('title', description: 'The title of that position.', type: 'string'),
        ],
    ),
]
#[
    OA\Schema(
        schema: 'NewPersonInput',
        required: ['name', 'title'],
        properties: [
            new OA\Property('name', description: 'In one run; it is taken apart.', type: 'string'),
            new OA\Property('title', description: 'Of the position.', type: 'string'),
        ],
    ),
]
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
            'companyName' => ['sometimes', 'string', 'max:1000'],
            'people' => ['sometimes', new ItemList, 'max:50'],
            'people.*' => ['array'],
            'people.*.name' => ['present', 'string', 'max:1000'],
            'people.*.title' => ['present', 'string', 'max:200'],
        ];
    }
}
