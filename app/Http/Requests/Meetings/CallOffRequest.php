<?php

declare(strict_types=1);

namespace App\Http\Requests\Meetings;

use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

/** A meeting that will not take place. */
final class CallOffRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('CallOffInput', ['version' => Input::whole(0)->says('That has been seen.')]);
    }
}
