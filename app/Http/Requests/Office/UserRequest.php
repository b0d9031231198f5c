<?php

declare(strict_types=1);

namespace App\Http\Requests\Office;

use Almanac\Access\Role;
use App\Http\Requests\Rules\GoodPassword;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;
use App\Models\User;

final class UserRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('UserInput', [
            'name' => Input::text(200)->filled(),
            'email' => Input::text(254)
                ->filled('maud@orreryvane.example')->also('email:rfc')->optional()
                ->says('Of a new user; it cannot be changed.'),
            'role' => Input::oneOf(Role::class),
            'password' => Input::text(200)->says('Empty leaves it as it is.'),
            'isRetired' => Input::flag()->optional()->says('Of a user who is there.'),
        ]);
    }

    protected function furtherRules(): array
    {
        $isNew = $this->isMethod('POST');
        $user = $this->route('user');
        $own = [$user instanceof User ? $user->email : $this->input('email'), $this->input('name')];

        return [
            'email' => $isNew ? ['required'] : [],
            'password' => [
                ...$isNew ? ['required'] : [],
                ...$isNew || $this->input('password') !== '' ? [new GoodPassword(array_values(array_filter($own, is_string(...))))] : [],
            ],
            'isRetired' => $isNew ? [] : ['required'],
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
