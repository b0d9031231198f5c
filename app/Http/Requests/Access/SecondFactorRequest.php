<?php

declare(strict_types=1);

namespace App\Http\Requests\Access;

use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

/** Who begins with a second factor knows the password. */
final class SecondFactorRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('SecondFactorInput', ['password' => Input::text(200)->filled()->says('The password of the user.')]);
    }

    protected function furtherRules(): array
    {
        return ['password' => ['current_password:sanctum']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['password.required' => 'Enter your password.', 'password.current_password' => 'That is not your password.'];
    }
}
