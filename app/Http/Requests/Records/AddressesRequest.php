<?php

declare(strict_types=1);

namespace App\Http\Requests\Records;

use Almanac\Addresses\AddressUse;
use App\Http\Requests\Rules\IdOrNull;
use App\Http\Requests\Rules\ItemList;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

#[
    OA\Schema(
        schema: 'AddressesInput',
        required: ['version', 'addresses'],
        properties: [
            new OA\Property('version', type: 'integer'),
            new OA\Property(
                'follow',
                ref: '#/components/schemas/FollowInput',
                description: 'The documents that take over what is saved.',
                nullable: true,
            ),
            new OA\Property('addresses', type: 'array', items: new OA\Items(ref: '#/components/schemas/AddressInput')),
        ],
    ),
]
#[
    OA\Schema(
        schema: 'AddressInput',
        required: [
            'id',
            'linkedAddressId',
            'country',
            'lines',
            'locality',
            'region',
            'postcode',
            'attention',
            'careOf',
            'uses',
            'isPrimary',
            'since',
            'until',
        ],
        properties: [
            new OA\Property('id', description: 'Null for a new one.', type: 'integer', nullable: true),
            new OA\Property(
                'linkedAddressId',
                description: 'An address to be used by link, instead of one typed here.',
                type: 'integer',
                nullable: true,
            ),
            new OA\Property('country', description: 'ISO 3166-1 alpha-2.', type: 'string'),
            new OA\Property('lines', type: 'string'),
            new OA\Property('locality', type: 'string'),
            new OA\Property('region', type: 'string'),
            new OA\Property('postcode', type: 'string'),
            new OA\Property('attention', description: 'A desk or a person whom post is for.', type: 'string'),
            new OA\Property('careOf', description: 'Who takes it in for them.', type: 'string'),
            new OA\Property('uses', type: 'array', items: new OA\Items(type: 'string')),
            new OA\Property('isPrimary', type: 'boolean'),
            new OA\Property('since', description: 'A date as people type it, or empty.', type: 'string'),
            new OA\Property('until', type: 'string'),
        ],
    ),
]
final class AddressesRequest extends SectionRequest
{
    protected function sectionRules(): array
    {
        return [
            'addresses' => ['present', new ItemList, 'max:100'],
            'addresses.*' => ['array'],
            'addresses.*.id' => ['present', new IdOrNull],
            'addresses.*.linkedAddressId' => ['present', new IdOrNull],
            'addresses.*.country' => self::text(),
            'addresses.*.lines' => self::text(),
            'addresses.*.locality' => self::text(),
            'addresses.*.region' => self::text(),
            'addresses.*.postcode' => self::text(),
            'addresses.*.attention' => ['present', 'string', 'max:100'],
            'addresses.*.careOf' => ['present', 'string', 'max:100'],
            'addresses.*.uses' => ['present', new ItemList],
            'addresses.*.uses.*' => ['required', Rule::enum(AddressUse::class)],
            'addresses.*.isPrimary' => ['required', 'boolean:strict'],
            'addresses.*.since' => self::text(),
            'addresses.*.until' => self::text(),
        ];
    }
}
