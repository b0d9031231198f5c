<?php

declare(strict_types=1);

namespace App\Http\Requests\Office;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Symfony\Component\Intl\Countries;

#[
    OA\Schema(
        schema: 'OfficeInput',
        required: [
            'name',
            'country',
            'lines',
            'locality',
            'region',
            'postcode',
            'monthFirst',
            'decimalComma',
            'timeZone',
            'phone',
            'email',
            'howToPay',
        ],
        properties: [
            new OA\Property('name', type: 'string'),
            new OA\Property('country', description: 'ISO 3166-1 alpha-2.', type: 'string'),
            new OA\Property('lines', type: 'string'),
            new OA\Property('locality', type: 'string'),
            new OA\Property('region', type: 'string'),
            new OA\Property('postcode', type: 'string'),
            new OA\Property('monthFirst', description: 'Whether 3/4 is typed for March 4.', type: 'boolean'),
            new OA\Property(
                'decimalComma',
                description: 'Whether 12,50 is typed for twelve and a half; null for as the country does.',
                type: 'boolean',
                nullable: true,
            ),
            new OA\Property('timeZone', description: 'Of the IANA database; empty for that of the address.', type: 'string'),
            new OA\Property('phone', type: 'string'),
            new OA\Property('email', type: 'string'),
            new OA\Property('howToPay', description: 'What papers say of how to pay the office: its bank, its account.', type: 'string'),
        ],
    ),
]
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
            'decimalComma' => ['present', 'nullable', 'boolean:strict'],
            'timeZone' => ['present', 'string', Rule::in(['', ...\DateTimeZone::listIdentifiers()])],
            'phone' => ['present', 'string', 'max:100'],
            'email' => ['present', 'string', 'max:254'],
            'howToPay' => ['present', 'string', 'max:1000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Type the name of your office.',
            'country.*' => 'Choose the country your office is in.',
            'timeZone.*' => 'Choose a time zone from the list.',
        ];
    }
}
