<?php

declare(strict_types=1);

namespace App\Http\Requests\Reminders;

use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class PutOffRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('PutOffInput', [
            'day' => Input::text(100)->says('A date as people type it.'),
            'time' => Input::text(100)->says('Empty leaves it.'),
        ]);
    }
}
