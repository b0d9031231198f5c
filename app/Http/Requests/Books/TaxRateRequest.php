<?php

declare(strict_types=1);

namespace App\Http\Requests\Books;

use Almanac\Terms\Side;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

#[
    OA\Schema(
        schema: 'TaxRateInput',
        required: ['name', 'percent', 'side', 'since', 'until', 'isRetired'],
        properties: [
            new OA\Property('name', type: 'string'),
            new OA\Property('percent', type: 'string'),
            new OA\Property('side', type: 'string', enum: ['client', 'vendor']),
            new OA\Property('since', type: 'string'),
            new OA\Property('until', type: 'string'),
            new OA\Property('isRetired', type: 'boolean'),
        ],
    ),
]
final class TaxRateRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => ['present', 'string', 'max:300'],
            'percent' => ['present', 'string', 'max:300'],
            'since' => ['present', 'string', 'max:300'],
            'until' => ['present', 'string', 'max:300'],
            'side' => ['required', Rule::enum(Side::class)],
            'isRetired' => ['required', 'boolean:strict'],
        ];
    }
}
