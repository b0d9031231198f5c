<?php

declare(strict_types=1);

namespace App\Http\Requests\Books;

use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class CurrencyRateRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('CurrencyRateInput', [
            'currency' => Input::text(300),
            'day' => Input::text(300)->says('Empty for today.'),
            'rate' => Input::text(300),
        ]);
    }
}
