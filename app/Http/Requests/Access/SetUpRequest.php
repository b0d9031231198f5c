<?php

declare(strict_types=1);

namespace App\Http\Requests\Access;

use App\Http\Requests\Rules\GoodPassword;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;
use Symfony\Component\Intl\Countries;

#[OA\Schema(schema: 'SetUpInput', required: ['officeName', 'country', 'name', 'email', 'password'], properties: [
    new OA\Property('officeName', type: 'string'),
    new OA\Property('country', description: 'ISO 3166-1 alpha-2.', type: 'string'),
    new OA\Property('name', type: 'string'),
    new OA\Property('email', type: 'string'),
    new OA\Property('password', type: 'string', minLength: 12),
])]
final class SetUpRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'officeName' => ['required', 'string', 'max:200'],
            'country' => ['required', Rule::in(Countries::getCountryCodes())],
            'name' => ['required', 'string', 'max:200'],
            'email' => ['required', 'email:rfc', 'max:254'],
            'password' => [
                'required',
                'string',
                new GoodPassword(array_values(array_filter($this->only('email', 'name'), is_string(...)))),
            ],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'officeName.required' => 'Type the name of your office.',
            'country.*' => 'Choose the country your office is in.',
            'name.required' => 'Type your name.',
            'email.required' => 'Type your email address.',
            'email.email' => 'That is not an email address. Type it like name@company.example.',
            'password.required' => 'Choose a password.',
        ];
    }
}
