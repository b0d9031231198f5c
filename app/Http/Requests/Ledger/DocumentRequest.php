<?php

declare(strict_types=1);

namespace App\Http\Requests\Ledger;

use Almanac\Ledger\DocumentKind;
use Almanac\Ledger\TaxTreatment;
use Almanac\Terms\Side;
use App\Http\Requests\Rules\IdOrNull;
use App\Http\Requests\Rules\ItemList;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

#[
    OA\Schema(
        schema: 'DocumentLineInput',
        required: ['text', 'quantity', 'price', 'discount', 'taxRateId', 'accountId', 'costCentreIds'],
        properties: [
            new OA\Property('text', type: 'string'),
            new OA\Property('quantity', description: 'Empty for one.', type: 'string'),
            new OA\Property('price', type: 'string'),
            new OA\Property('discount', description: 'Percent; empty for none.', type: 'string'),
            new OA\Property('taxRateId', type: 'integer', nullable: true),
            new OA\Property('accountId', type: 'integer', nullable: true),
            new OA\Property('costCentreIds', type: 'array', items: new OA\Items(type: 'integer')),
            new OA\Property(
                'sourceLineId',
                description: 'The line of a quote or an order that it takes from.',
                type: 'integer',
                nullable: true,
            ),
        ],
    ),
]
#[
    OA\Schema(
        schema: 'DocumentInput',
        required: ['kind', 'date', 'due', 'terms', 'treatment', 'currency', 'number', 'reference', 'note', 'lines'],
        properties: [
            new OA\Property('kind', type: 'string'),
            new OA\Property('version', description: 'Of a draft that is changed: the one that was read.', type: 'integer'),
            new OA\Property('date', description: 'Empty for today.', type: 'string'),
            new OA\Property('due', description: 'Empty for as the terms have it.', type: 'string'),
            new OA\Property('terms', description: 'Shorthand.', type: 'string'),
            new OA\Property('treatment', type: 'string', enum: ['exclusive', 'inclusive', 'none']),
            new OA\Property('currency', type: 'string'),
            new OA\Property('number', description: 'Theirs, on what comes from them.', type: 'string'),
            new OA\Property('reference', type: 'string'),
            new OA\Property('note', type: 'string'),
            new OA\Property('validUntil', description: 'Of a quote; empty for no end.', type: 'string'),
            new OA\Property('lines', type: 'array', items: new OA\Items(ref: '#/components/schemas/DocumentLineInput')),
            new OA\Property('issues', description: 'Of a new one: whether it is issued at once.', type: 'boolean'),
        ],
    ),
]
final class DocumentRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'issues' => ['boolean:strict'],
            'kind' => [
                'required',
                Rule::in(array_column([...DocumentKind::written(Side::Client), ...DocumentKind::written(Side::Vendor)], 'value')),
            ],
            'version' => ['integer:strict', 'min:0'],
            'date' => ['present', 'string', 'max:1000'],
            'due' => ['present', 'string', 'max:1000'],
            'terms' => ['present', 'string', 'max:1000'],
            'currency' => ['present', 'string', 'max:1000'],
            'number' => ['present', 'string', 'max:1000'],
            'reference' => ['present', 'string', 'max:1000'],
            'note' => ['present', 'string', 'max:5000'],
            'validUntil' => ['string', 'max:1000'],
            'treatment' => ['required', Rule::enum(TaxTreatment::class)],
            'lines' => ['present', new ItemList(), 'max:500'],
            'lines.*.text' => ['present', 'string', 'max:1000'],
            'lines.*.quantity' => ['present', 'string', 'max:1000'],
            'lines.*.price' => ['present', 'string', 'max:1000'],
            'lines.*.discount' => ['present', 'string', 'max:1000'],
            'lines.*.taxRateId' => ['present', new IdOrNull()],
            'lines.*.accountId' => ['present', new IdOrNull()],
            'lines.*.sourceLineId' => [new IdOrNull()],
            'lines.*.costCentreIds' => ['present', new ItemList(), 'max:20'],
            'lines.*.costCentreIds.*' => ['integer:strict'],
        ];
    }

    public function kind(): DocumentKind
    {
        return DocumentKind::from($this->string('kind')->toString());
    }
}
