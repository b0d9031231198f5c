<?php

declare(strict_types=1);

namespace App\Http\Requests\Merging;

use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

/** Whether somebody is changing a record at this moment. */
final class EditingRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('EditingInput', ['isEditing' => Input::flag()]);
    }
}
