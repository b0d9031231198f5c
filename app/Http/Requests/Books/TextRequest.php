<?php

declare(strict_types=1);

namespace App\Http\Requests\Books;

use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class TextRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('TextInput', [
            'text' => Input::text(2000000)->filled()->says('What stands in the file.'),
        ]);
    }
}
