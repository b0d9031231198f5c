<?php

declare(strict_types=1);

namespace App\Http\Requests\Ledger;

use Almanac\Terms\Side;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

/** For which side and time a statement is asked. */
#[OA\Schema(schema: 'StatementInput', required: ['side', 'currency', 'from', 'to'], properties: [
    new OA\Property('side', type: 'string', enum: ['client', 'vendor']),
    new OA\Property('currency', type: 'string'),
    new OA\Property('from', description: 'A date as people type it; empty for the beginning.', type: 'string'),
    new OA\Property('to', description: 'Empty for today.', type: 'string'),
])]
final class StatementRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'side' => ['required', Rule::enum(Side::class)],
            'currency' => ['required', 'string', 'size:3'],
            'from' => ['nullable', 'string', 'max:40'],
            'to' => ['nullable', 'string', 'max:40'],
            'format' => ['nullable', Rule::in(['json', 'pdf', 'csv'])],
        ];
    }

    /** @return array{side: string, currency: string, from: string, to: string} */
    public function period(): array
    {
        return [
            'side' => $this->string('side')->value(),
            'currency' => $this->string('currency')->value(),
            'from' => $this->string('from')->value(),
            'to' => $this->string('to')->value(),
        ];
    }
}
