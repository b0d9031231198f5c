<?php

declare(strict_types=1);

namespace App\Http\Requests\Records;

use App\Http\Requests\Rules\IdOrNull;
use App\Http\Requests\Rules\ItemList;
use OpenApi\Attributes as OA;

#[
    OA\Schema(
        schema: 'PositionsInput',
        required: ['version', 'positions'],
        properties: [
            new OA\Property('version', type: 'integer'),
            new OA\Property('positions', type: 'array', items: new OA\Items(ref: '#/components/schemas/PositionInput')),
        ],
    ),
]
#[
    OA\Schema(
        schema: 'PositionInput',
        required: ['id', 'partyId', 'title', 'department', 'duties', 'firstFor', 'isPrimary', 'since', 'until'],
        properties: [
            new OA\Property('id', description: 'Null for a new one.', type: 'integer', nullable: true),
            new OA\Property('partyId', description: 'The company of a person, or the person at a company.', type: 'integer'),
            new OA\Property('title', type: 'string'),
            new OA\Property('department', type: 'string'),
            new OA\Property('duties', type: 'array', items: new OA\Items(type: 'string')),
            new OA\Property(
                'firstFor',
                description: 'Those of the duties that this person is the first to be asked about.',
                type: 'array',
                items: new OA\Items(type: 'string'),
            ),
            new OA\Property('isPrimary', type: 'boolean'),
            new OA\Property('since', description: 'A date as people type it, or empty.', type: 'string'),
            new OA\Property('until', type: 'string'),
        ],
    ),
]
final class PositionsRequest extends SectionRequest
{
    protected function sectionRules(): array
    {
        return [
            'positions' => ['present', new ItemList, 'max:500'],
            'positions.*' => ['array'],
            'positions.*.id' => ['present', new IdOrNull],
            'positions.*.partyId' => ['required', 'integer'],
            'positions.*.title' => ['present', 'string', 'max:200'],
            'positions.*.department' => ['present', 'string', 'max:200'],
            'positions.*.duties' => ['present', new ItemList],
            'positions.*.duties.*' => ['required', 'string', 'max:200'],
            'positions.*.firstFor' => ['present', new ItemList],
            'positions.*.firstFor.*' => ['required', 'string', 'max:200'],
            'positions.*.isPrimary' => ['required', 'boolean:strict'],
            'positions.*.since' => self::text(),
            'positions.*.until' => self::text(),
        ];
    }
}
