<?php

declare(strict_types=1);

namespace App\Http\Requests\Access;

use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

/** A code of an authenticator app, or a recovery code. */
final class CodeRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('FactorCodeInput', [
            'code' => Input::text(20)->filled('123456')->says('Six digits from the authenticator app, or a recovery code.'),
            'remembers' => Input::flag()->optional()->says('Whether this browser signs in without a code for 30 days.'),
        ]);
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['code.required' => 'Enter the code that your authenticator app shows.'];
    }
}
