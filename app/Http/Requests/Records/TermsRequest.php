<?php

declare(strict_types=1);

namespace App\Http\Requests\Records;

use App\Http\Requests\Rules\IdOrNull;
use App\Http\Requests\Rules\ItemList;
use OpenApi\Attributes as OA;

#[
    OA\Schema(
        schema: 'TermsInput',
        required: ['version', 'listedId', 'shorthand'],
        properties: [
            new OA\Property('version', type: 'integer'),
            new OA\Property(
                'follow',
                ref: '#/components/schemas/FollowInput',
                description: 'The documents that take over what is saved.',
                nullable: true,
            ),
            new OA\Property(
                'listedId',
                description: 'An entry of the office’s list. With neither, the office’s default holds.',
                type: 'integer',
                nullable: true,
            ),
            new OA\Property('shorthand', description: 'Terms as they are typed, such as 2/10 net 30.', type: 'string', nullable: true),
            new OA\Property(
                'fields',
                description: 'What else is the party’s own; null lets it be inherited. What is not told stays as it is.',
                type: 'array',
                items: new OA\Items(
                    required: ['name', 'value'],
                    properties: [new OA\Property('name', type: 'string'), new OA\Property('value', type: 'string', nullable: true)],
                    type: 'object',
                ),
            ),
        ],
    ),
]
final class TermsRequest extends SectionRequest
{
    protected function sectionRules(): array
    {
        return [
            'listedId' => ['present', new IdOrNull],
            'shorthand' => ['present', 'nullable', 'string', 'max:300'],
            'fields' => ['sometimes', new ItemList, 'max:20'],
            'fields.*.name' => ['required', 'string', 'max:40'],
            'fields.*.value' => ['present', 'nullable', 'string', 'max:300'],
        ];
    }
}
