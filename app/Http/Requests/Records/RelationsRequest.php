<?php

declare(strict_types=1);

namespace App\Http\Requests\Records;

use Almanac\Names\TogetherAs;
use Almanac\Relations\Sharing;
use App\Http\Requests\Rules\IdOrNull;
use App\Http\Requests\Rules\ItemList;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

#[
    OA\Schema(
        schema: 'RelationsInput',
        required: ['version', 'relations'],
        properties: [
            new OA\Property('version', type: 'integer'),
            new OA\Property('relations', type: 'array', items: new OA\Items(ref: '#/components/schemas/RelationInput')),
        ],
    ),
]
#[
    OA\Schema(
        schema: 'RelationInput',
        required: ['id', 'partyId', 'kind', 'together', 'since', 'until'],
        properties: [
            new OA\Property('id', description: 'Null for a new one.', type: 'integer', nullable: true),
            new OA\Property('partyId', type: 'integer'),
            new OA\Property('kind', description: 'What the other is to this one.', type: 'string'),
            new OA\Property(
                'together',
                description: 'Of spouses: how they are written to.',
                type: 'string',
                enum: ['each alone', 'both names', 'Mr. and Mrs.'],
            ),
            new OA\Property('since', description: 'A date as people type it, or empty.', type: 'string'),
            new OA\Property('until', type: 'string'),
            new OA\Property(
                'address',
                description: 'Whose address both use from now on: each their own, this one the other’s by link, or the other this one’s.',
                type: 'string',
                enum: ['own', 'theirs', 'ours'],
            ),
            new OA\Property(
                'addressId',
                description: 'Which of the addresses; null for the one that post goes to.',
                type: 'integer',
                nullable: true,
            ),
            new OA\Property('phone', type: 'string', enum: ['own', 'theirs', 'ours']),
        ],
    ),
]
final class RelationsRequest extends SectionRequest
{
    protected function sectionRules(): array
    {
        return [
            'relations' => ['present', new ItemList, 'max:200'],
            'relations.*' => ['array'],
            'relations.*.id' => ['present', new IdOrNull],
            'relations.*.partyId' => ['required', 'integer'],
            'relations.*.kind' => ['required', 'string', 'max:200'],
            'relations.*.together' => ['required', Rule::enum(TogetherAs::class)],
            'relations.*.since' => self::text(),
            'relations.*.until' => self::text(),
            'relations.*.address' => [Rule::enum(Sharing::class)],
            'relations.*.addressId' => [new IdOrNull],
            'relations.*.phone' => [Rule::enum(Sharing::class)],
        ];
    }
}
