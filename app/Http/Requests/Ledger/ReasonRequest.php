<?php

declare(strict_types=1);

namespace App\Http\Requests\Ledger;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'ReasonInput', required: ['reason', 'amount'], properties: [
    new OA\Property('reason', type: 'string'),
    new OA\Property('amount', description: 'What of it is written off; empty for all that is open.', type: 'string'),
])]
final class ReasonRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'reason' => ['required', 'string', 'max:300'],
            'amount' => ['present', 'string', 'max:1000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'reason.required' => 'Say why.',
        ];
    }
}
