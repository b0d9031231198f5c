<?php

declare(strict_types=1);

namespace App\Http\Requests\Access;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'SignInInput', required: ['email', 'password'], properties: [
    new OA\Property('email', type: 'string'),
    new OA\Property('password', type: 'string'),
])]
class SignInRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'email' => ['required', 'string', 'max:254'],
            'password' => ['required', 'string', 'max:200'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['email.required' => 'Type your email address.', 'password.required' => 'Type your password.'];
    }
}
