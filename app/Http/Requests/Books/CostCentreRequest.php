<?php

declare(strict_types=1);

namespace App\Http\Requests\Books;

use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class CostCentreRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('CostCentreInput', [
            'group' => Input::text(300),
            'name' => Input::text(300),
            'isRetired' => Input::flag(),
        ]);
    }
}
