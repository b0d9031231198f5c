<?php

declare(strict_types=1);

namespace App\Http\Requests\Office;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Symfony\Component\Intl\Countries;

#[OA\Schema(schema: 'OfficeInput', required: ['name', 'country', 'lines', 'locality', 'region', 'postcode', 'monthFirst'], properties: [
    new OA\Property('name', type: 'string'),
    new OA\Property('country', description: 'ISO 3166-1 alpha-2.', type: 'string'),
    new OA\Property('lines', type: 'string'),
    new OA\Property('locality', type: 'string'),
    new OA\Property('region', type: 'string'),
    new OA\Property('postcode', type: 'string'),
    new OA\Property('monthFirst', description: 'Whether 3/4 is typed for March 4.', type: 'boolean'),
])]
final class OfficeRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:200'],
            'country' => ['required', Rule::in(Countries::getCountryCodes())],
            'lines' => ['present', 'string', 'max:1000'],
            'locality' => ['present', 'string', 'max:1000'],
            'region' => ['present', 'string', 'max:1000'],
            'postcode' => ['present', 'string', 'max:1000'],
            'monthFirst' => ['required', 'boolean:strict'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['name.required' => 'Type the name of your office.', 'country.*' => 'Choose the country your office is in.'];
    }
}
