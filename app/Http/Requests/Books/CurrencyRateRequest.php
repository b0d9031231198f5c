<?php

declare(strict_types=1);

namespace App\Http\Requests\Books;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[
    OA\Schema(
        schema: 'CurrencyRateInput',
        required: ['currency', 'day', 'rate'],
        properties: [
            new OA\Property('currency', type: 'string'),
            new OA\Property('day', description: 'Empty for today.', type: 'string'),
            new OA\Property('rate', type: 'string'),
        ],
    ),
]
final class CurrencyRateRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'currency' => ['present', 'string', 'max:300'],
            'day' => ['present', 'string', 'max:300'],
            'rate' => ['present', 'string', 'max:300'],
        ];
    }
}
