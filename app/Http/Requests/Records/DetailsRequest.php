<?php

declare(strict_types=1);

namespace App\Http\Requests\Records;

use App\Http\Requests\Rules\ItemList;
use OpenApi\Attributes as OA;

#[
    OA\Schema(
        schema: 'DetailsInput',
        required: ['version', 'values'],
        properties: [
            new OA\Property('version', type: 'integer'),
            new OA\Property('values', type: 'array', items: new OA\Items(ref: '#/components/schemas/FieldValueInput')),
        ],
    ),
]
#[
    OA\Schema(
        schema: 'FieldValueInput',
        required: ['fieldId', 'value'],
        properties: [
            new OA\Property('fieldId', type: 'integer'),
            new OA\Property(
                'value',
                description: 'As somebody types it, several choices on a line each; null leaves it as it is.',
                type: 'string',
                nullable: true,
            ),
        ],
    ),
]
final class DetailsRequest extends SectionRequest
{
    protected function sectionRules(): array
    {
        return [
            'values' => ['present', new ItemList, 'max:500'],
            'values.*' => ['array'],
            'values.*.fieldId' => ['required', 'integer', 'distinct'],
            'values.*.value' => ['present', 'nullable', 'string', 'max:10000'],
        ];
    }
}
