<?php

declare(strict_types=1);

namespace App\Http\Requests\Access;

use App\Http\Requests\Rules\GoodPassword;
use App\Models\User;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'PasswordInput', required: ['current', 'password'], properties: [
    new OA\Property('current', description: 'The one that holds now.', type: 'string'),
    new OA\Property('password', type: 'string', minLength: 12),
])]
final class PasswordRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        $user = $this->user();

        return [
            'current' => ['bail', 'required', 'string', 'current_password:sanctum'],
            'password' => ['required', 'string', new GoodPassword($user instanceof User ? [$user->email, $user->name] : [])],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'current.required' => 'Type the password that you have now.',
            'current.current_password' => 'That is not your password.',
            'password.required' => 'Choose a new password.',
        ];
    }
}
