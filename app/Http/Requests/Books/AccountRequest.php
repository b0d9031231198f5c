<?php

declare(strict_types=1);

namespace App\Http\Requests\Books;

use Almanac\Ledger\AccountKind;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

#[
    OA\Schema(
        schema: 'AccountInput',
        required: ['code', 'name', 'kind', 'isRetired'],
        properties: [
            new OA\Property('code', type: 'string'),
            new OA\Property('name', type: 'string'),
            new OA\Property('kind', type: 'string', enum: ['income', 'expense', 'asset', 'liability', 'equity']),
            new OA\Property('isRetired', type: 'boolean'),
        ],
    ),
]
final class AccountRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'code' => ['present', 'string', 'max:300'],
            'name' => ['present', 'string', 'max:300'],
            'kind' => ['required', Rule::enum(AccountKind::class)],
            'isRetired' => ['required', 'boolean:strict'],
        ];
    }
}
