<?php

declare(strict_types=1);

namespace App\Http\Requests\Records;

use Almanac\TaxIds\ReportChoice;
use Almanac\TaxIds\TaxIdKind;
use App\Http\Requests\Rules\IdOrNull;
use App\Http\Requests\Rules\ItemList;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

#[
    OA\Schema(
        schema: 'TaxNumbersInput',
        required: ['version', 'taxNumbers'],
        properties: [
            new OA\Property('version', type: 'integer'),
            new OA\Property(
                'follow',
                ref: '#/components/schemas/FollowInput',
                description: 'The documents that take over what is saved.',
                nullable: true,
            ),
            new OA\Property('taxNumbers', type: 'array', items: new OA\Items(ref: '#/components/schemas/TaxNumberInput')),
            new OA\Property(
                'formOn',
                description: 'When form W-9 came in; empty while it has not. With it go the four that follow; without it they stay as they are.',
                type: 'string',
            ),
            new OA\Property('formBy', type: 'string'),
            new OA\Property('formFileId', type: 'integer', nullable: true),
            new OA\Property('reportChoice', type: 'string', enum: ['by the rule', 'always', 'never']),
            new OA\Property('isAttorney', type: 'boolean'),
        ],
    ),
]
#[
    OA\Schema(
        schema: 'TaxNumberInput',
        required: ['id', 'kind', 'country', 'value'],
        properties: [
            new OA\Property('id', description: 'Null for a new one.', type: 'integer', nullable: true),
            new OA\Property('kind', type: 'string'),
            new OA\Property('country', description: 'ISO 3166-1 alpha-2, of a VAT number.', type: 'string'),
            new OA\Property('value', description: 'As it is typed; null leaves it as it is.', type: 'string', nullable: true),
        ],
    ),
]
final class TaxNumbersRequest extends SectionRequest
{
    protected function sectionRules(): array
    {
        return [
            'taxNumbers' => ['present', new ItemList, 'max:20'],
            'taxNumbers.*' => ['array'],
            'taxNumbers.*.id' => ['present', new IdOrNull],
            'taxNumbers.*.kind' => ['required', Rule::enum(TaxIdKind::class)],
            'taxNumbers.*.country' => self::text(),
            'formOn' => ['string', self::LINE],
            'formBy' => ['present_with:formOn', 'string', self::LINE],
            'formFileId' => ['present_with:formOn', new IdOrNull],
            'reportChoice' => [Rule::requiredIf(fn () => $this->has('formOn')), Rule::enum(ReportChoice::class)],
            'isAttorney' => ['required_with:formOn', 'boolean:strict'],
            'taxNumbers.*.value' => ['present', 'nullable', 'string', self::LINE],
        ];
    }
}
