<?php

declare(strict_types=1);

namespace App\Http\Requests\Banking;

use Almanac\Banking\AccountKind;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

#[
    OA\Schema(
        schema: 'BankDetailInput',
        required: ['kind', 'iban', 'bic', 'routing', 'sortCode', 'account', 'use', 'holder', 'bankName'],
        properties: [
            new OA\Property('kind', type: 'string', enum: ['IBAN', 'US account', 'UK account']),
            new OA\Property('iban', type: 'string'),
            new OA\Property('bic', type: 'string'),
            new OA\Property('routing', type: 'string'),
            new OA\Property('sortCode', type: 'string'),
            new OA\Property('account', type: 'string'),
            new OA\Property('use', type: 'string', enum: ['checking', 'savings']),
            new OA\Property('holder', description: 'In whose name the account is.', type: 'string'),
            new OA\Property('bankName', type: 'string'),
        ],
    ),
]
final class BankDetailRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'kind' => ['required', Rule::enum(AccountKind::class)],
            'iban' => ['present', 'string', 'max:200'],
            'bic' => ['present', 'string', 'max:200'],
            'routing' => ['present', 'string', 'max:200'],
            'sortCode' => ['present', 'string', 'max:200'],
            'account' => ['present', 'string', 'max:200'],
            'use' => ['required', Rule::in(['checking', 'savings'])],
            'holder' => ['present', 'string', 'max:200'], 'bankName' => ['present', 'string', 'max:200'],
        ];
    }
}
