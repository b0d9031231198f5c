<?php

declare(strict_types=1);

namespace App\Http\Requests\Office;

use Almanac\Access\Role;
use App\Http\Requests\Rules\GoodPassword;
use App\Models\User;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

#[OA\Schema(schema: 'UserInput', required: ['name', 'role', 'password'], properties: [
    new OA\Property('name', type: 'string'),
    new OA\Property('email', description: 'Of a new user; it cannot be changed.', type: 'string'),
    new OA\Property('role', type: 'string', enum: ['administrator', 'clerk', 'approver', 'reader']),
    new OA\Property('password', description: 'Empty leaves it as it is.', type: 'string'),
    new OA\Property('isRetired', description: 'Of a user who is there.', type: 'boolean'),
])]
final class UserRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        $isNew = $this->isMethod('POST');
        $user = $this->route('user');
        $user = $user instanceof User ? $user : null;

        return [
            'name' => ['required', 'string', 'max:200'],
            'email' => [$isNew ? 'required' : 'sometimes', 'email:rfc', 'max:254'],
            'role' => ['required', Rule::enum(Role::class)],
            'password' => [
                $isNew ? 'required' : 'present',
                'string',
                ...$isNew || $this->input('password') !== ''
                    ? [
                        new GoodPassword(
                            array_values(array_filter([$user->email ?? $this->input('email'), $this->input('name')], is_string(...))),
                        ),
                    ]
                    : [],
            ],
            'isRetired' => [$isNew ? 'sometimes' : 'required', 'boolean:strict'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Type the name.',
            'email.required' => 'Type the email to sign in with.',
            'email.email' => 'That is not an email address. Type it like name@company.example.',
            'role.*' => 'Choose what they may do.',
            'password.required' => 'Choose a first password.',
        ];
    }

    public function role(): Role
    {
        return Role::from($this->string('role')->value());
    }
}
