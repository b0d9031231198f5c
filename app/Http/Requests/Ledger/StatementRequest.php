<?php

declare(strict_types=1);

namespace App\Http\Requests\Ledger;

use Almanac\Ledger\Side;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** For which side and time a statement is asked. */
final class StatementRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'side' => ['required', Rule::enum(Side::class)], 'currency' => ['required', 'string', 'size:3'],
            'from' => ['nullable', 'string', 'max:40'], 'to' => ['nullable', 'string', 'max:40'], 'format' => ['nullable', Rule::in(['json', 'pdf', 'csv'])],
        ];
    }
}
