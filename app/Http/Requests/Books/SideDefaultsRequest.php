<?php

declare(strict_types=1);

namespace App\Http\Requests\Books;

use Almanac\Terms\Side;
use App\Http\Requests\Rules\ItemList;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'SideDefaultsInput', required: ['side', 'fields'], properties: [
    new OA\Property('side', type: 'string', enum: ['client', 'vendor']),
    new OA\Property('fields', type: 'array', items: new OA\Items(required: ['name', 'value'], properties: [
        new OA\Property('name', type: 'string'),
        new OA\Property('value', type: 'string', nullable: true),
    ], type: 'object')),
])]
final class SideDefaultsRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'side' => ['required', Rule::enum(Side::class)], 'fields' => ['present', new ItemList, 'max:20'],
            'fields.*.name' => ['required', 'string', 'max:40'], 'fields.*.value' => ['present', 'nullable', 'string', 'max:300'],
        ];
    }
}
