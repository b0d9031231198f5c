<?php

declare(strict_types=1);

namespace App\Http\Requests\Access;

use App\Http\Requests\Rules\GoodPassword;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;
use App\Models\User;

final class PasswordRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('PasswordInput', [
            'current' => Input::text(200)->filled()->says('The one that holds now.'),
            'password' => Input::text(200)->filled(),
        ]);
    }

    protected function furtherRules(): array
    {
        $user = $this->user();

        return [
            'current' => ['current_password:sanctum'],
            'password' => ['different:current', new GoodPassword($user instanceof User ? [$user->email, $user->name] : [])],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'current.required' => 'Type the password that you have now.',
            'current.current_password' => 'That is not your password.',
            'password.required' => 'Choose a new password.',
            'password.different' => 'That is the password that you have now. Choose a new one.',
        ];
    }
}
