<?php

declare(strict_types=1);

namespace App\Http\Requests\Books;

use Almanac\Terms\Side;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class SideDefaultsRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('SideDefaultsInput', [
            'side' => Input::oneOf(Side::class),
            'fields' => Input::listOf(Shape::named('NamedValueInput', [
                'name' => Input::text(40)->filled(),
                'value' => Input::text(300)->orNull(),
            ]), 20),
        ]);
    }
}
