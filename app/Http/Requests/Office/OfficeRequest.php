<?php

declare(strict_types=1);

namespace App\Http\Requests\Office;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Symfony\Component\Intl\Countries;

#[OA\Schema(schema: 'OfficeInput', required: ['name', 'country'], properties: [
    new OA\Property('name', type: 'string'),
    new OA\Property('country', description: 'ISO 3166-1 alpha-2.', type: 'string'),
])]
final class OfficeRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:200'],
            'country' => ['required', Rule::in(Countries::getCountryCodes())],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['name.required' => 'Type the name of your office.', 'country.*' => 'Choose the country your office is in.'];
    }
}
