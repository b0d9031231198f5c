<?php

declare(strict_types=1);

namespace App\Http\Requests\Ledger;

use Almanac\Terms\Side;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'OpeningInput', required: ['side', 'amount', 'currency', 'asOf'], properties: [
    new OA\Property('side', type: 'string', enum: ['client', 'vendor']),
    new OA\Property('amount', type: 'string'),
    new OA\Property('currency', type: 'string'),
    new OA\Property('asOf', description: 'The day it was owed, and ages from.', type: 'string'),
])]
final class OpeningRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'side' => ['required', Rule::enum(Side::class)],
            'amount' => ['present', 'string', 'max:1000'],
            'currency' => ['present', 'string', 'max:1000'],
            'asOf' => ['present', 'string', 'max:1000'],
        ];
    }
}
