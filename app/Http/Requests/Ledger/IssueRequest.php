<?php

declare(strict_types=1);

namespace App\Http\Requests\Ledger;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'IssueInput', required: ['isConfirmed', 'version'], properties: [
    new OA\Property('isConfirmed', description: 'Whether somebody was asked about the credit limit, and said yes.', type: 'boolean'),
    new OA\Property('version', description: 'The one that was read.', type: 'integer'),
])]
final class IssueRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'isConfirmed' => ['required', 'boolean:strict'],
            'version' => ['required', 'integer:strict'],
        ];
    }
}
