<?php

declare(strict_types=1);

namespace App\Http\Requests\Books;

use Almanac\Terms\Side;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class TaxRateRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('TaxRateInput', [
            'name' => Input::text(300),
            'percent' => Input::text(300),
            'side' => Input::oneOf(Side::class),
            'since' => Input::text(300),
            'until' => Input::text(300),
            'isRetired' => Input::flag(),
        ]);
    }
}
