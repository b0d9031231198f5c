<?php

declare(strict_types=1);

namespace App\Http\Requests\Access;

use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

class SignInRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('SignInInput', [
            'email' => Input::text(254)->filled(),
            'password' => Input::text(200)->filled(),
        ]);
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['email.required' => 'Type your email address.', 'password.required' => 'Type your password.'];
    }
}
