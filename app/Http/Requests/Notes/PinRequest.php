<?php

declare(strict_types=1);

namespace App\Http\Requests\Notes;

use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class PinRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('PinInput', [
            'isPinned' => Input::flag(),
        ]);
    }
}
