<?php

declare(strict_types=1);

namespace App\Http\Requests\Records;

use Almanac\Reach\ContactKind;
use Almanac\Reach\ContactUse;
use App\Http\Requests\Rules\IdOrNull;
use App\Http\Requests\Rules\ItemList;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

#[
    OA\Schema(
        schema: 'ReachInput',
        required: ['version', 'contactPoints'],
        properties: [
            new OA\Property('version', type: 'integer'),
            new OA\Property('contactPoints', type: 'array', items: new OA\Items(ref: '#/components/schemas/ContactPointInput')),
        ],
    ),
]
#[
    OA\Schema(
        schema: 'ContactPointInput',
        required: ['id', 'kind', 'value', 'label', 'uses', 'isPrimary', 'sameAsId', 'addressUseId'],
        properties: [
            new OA\Property('id', description: 'Null for a new one.', type: 'integer', nullable: true),
            new OA\Property('kind', type: 'string', enum: ['phone', 'email', 'website', 'handle', 'profile']),
            new OA\Property('value', type: 'string'),
            new OA\Property('label', type: 'string'),
            new OA\Property('uses', type: 'array', items: new OA\Items(type: 'string')),
            new OA\Property('isPrimary', type: 'boolean'),
            new OA\Property(
                'addressUseId',
                description: 'The address at which they are reached so, of several.',
                type: 'integer',
                nullable: true,
            ),
            new OA\Property(
                'sameAsId',
                description: 'The one of another record that it is used from by link, as long as it is the same there; null for one of its own.',
                type: 'integer',
                nullable: true,
            ),
        ],
    ),
]
final class ReachRequest extends SectionRequest
{
    protected function sectionRules(): array
    {
        return [
            'contactPoints' => ['present', new ItemList, 'max:100'],
            'contactPoints.*' => ['array'],
            'contactPoints.*.id' => ['present', new IdOrNull],
            'contactPoints.*.kind' => ['required', Rule::enum(ContactKind::class)],
            'contactPoints.*.value' => self::text(),
            'contactPoints.*.label' => ['present', 'string', 'max:40'],
            'contactPoints.*.uses' => ['present', new ItemList],
            'contactPoints.*.uses.*' => ['required', Rule::enum(ContactUse::class)],
            'contactPoints.*.isPrimary' => ['required', 'boolean:strict'],
            'contactPoints.*.addressUseId' => ['present', new IdOrNull],
            'contactPoints.*.sameAsId' => ['present', new IdOrNull],
        ];
    }
}
