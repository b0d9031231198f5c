<?php

declare(strict_types=1);

namespace App\Http\Requests\Banking;

use Almanac\Banking\Confirmation;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class ConfirmRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('ConfirmInput', [
            'how' => Input::oneOf(Confirmation::class),
        ]);
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['how.required' => 'Say how you made sure.'];
    }
}
