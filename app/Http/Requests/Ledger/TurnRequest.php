<?php

declare(strict_types=1);

namespace App\Http\Requests\Ledger;

use Almanac\Ledger\DocumentKind;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'TurnInput', required: ['kind', 'isConfirmed'], properties: [
    new OA\Property('kind', description: 'What it becomes.', type: 'string'),
    new OA\Property('isConfirmed', description: 'Whether somebody was asked when nothing is left of it, and said yes.', type: 'boolean'),
])]
final class TurnRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'kind' => ['required', Rule::in(array_column(DocumentKind::cases(), 'value'))],
            'isConfirmed' => ['required', 'boolean:strict'],
        ];
    }
}
