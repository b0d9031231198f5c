<?php

declare(strict_types=1);

namespace App\Http\Requests\Ledger;

use Almanac\Ledger\DocumentKind;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'TurnInput', required: ['kind'], properties: [
    new OA\Property('kind', description: 'What it becomes.', type: 'string'),
])]
final class TurnRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'kind' => ['required', Rule::in(array_column(DocumentKind::cases(), 'value'))],
        ];
    }
}
