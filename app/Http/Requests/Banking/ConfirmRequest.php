<?php

declare(strict_types=1);

namespace App\Http\Requests\Banking;

use Almanac\Banking\Confirmation;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'ConfirmInput', required: ['how'], properties: [
    new OA\Property('how', type: 'string', enum: ['called a number known before', 'by letter', 'in person']),
])]
final class ConfirmRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['how' => ['required', Rule::enum(Confirmation::class)]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['how.required' => 'Say how you made sure.'];
    }
}
