<?php

declare(strict_types=1);

namespace App\Http\Requests\Office;

use Almanac\Details\FieldKind;
use Almanac\Readiness\Purpose;
use Almanac\Records\PartyKind;
use App\Http\Requests\Rules\IdOrNull;
use App\Http\Requests\Rules\ItemList;
use App\Http\Requests\Rules\OneOfOrNull;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

#[
    OA\Schema(
        schema: 'SheetInput',
        required: ['name', 'partyKind', 'type', 'isRetired', 'fields'],
        properties: [
            new OA\Property('name', type: 'string'),
            new OA\Property(
                'partyKind',
                description: 'Null for people and companies alike.',
                type: 'string',
                enum: ['person', 'company'],
                nullable: true,
            ),
            new OA\Property('type', description: 'Only for records of that type; empty for all.', type: 'string'),
            new OA\Property('isRetired', type: 'boolean'),
            new OA\Property(
                'fields',
                description: 'In their order. One that is left out is retired when records have filled it in.',
                type: 'array',
                items: new OA\Items(ref: '#/components/schemas/SheetFieldInput'),
            ),
        ],
    ),
]
#[
    OA\Schema(
        schema: 'SheetFieldInput',
        required: ['id', 'name', 'kind', 'options', 'help', 'requiredFor', 'isRetired'],
        properties: [
            new OA\Property('id', description: 'Null for a new one.', type: 'integer', nullable: true),
            new OA\Property('name', type: 'string'),
            new OA\Property(
                'kind',
                type: 'string',
                enum: ['text', 'long text', 'number', 'date', 'yes or no', 'choice', 'several choices', 'amount', 'secret'],
            ),
            new OA\Property('options', type: 'array', items: new OA\Items(type: 'string')),
            new OA\Property('help', type: 'string'),
            new OA\Property('requiredFor', type: 'string', enum: ['write-to', 'bill', 'pay', 'tax-report'], nullable: true),
            new OA\Property('isRetired', type: 'boolean'),
        ],
    ),
]
final class SheetRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => ['present', 'string', 'max:1000'],
            'partyKind' => ['present', 'nullable', Rule::enum(PartyKind::class)],
            'type' => ['present', 'string', 'max:1000'],
            'isRetired' => ['required', 'boolean:strict'],
            'fields' => ['present', new ItemList, 'max:100'],
            'fields.*' => ['array'],
            'fields.*.id' => ['present', new IdOrNull],
            'fields.*.name' => ['present', 'string', 'max:1000'],
            'fields.*.kind' => ['required', Rule::enum(FieldKind::class)],
            'fields.*.options' => ['present', new ItemList, 'max:100'],
            'fields.*.options.*' => ['present', 'string', 'max:1000'],
            'fields.*.help' => ['present', 'string', 'max:200'],
            'fields.*.requiredFor' => ['present', new OneOfOrNull(Purpose::class)],
            'fields.*.isRetired' => ['required', 'boolean:strict'],
        ];
    }
}
