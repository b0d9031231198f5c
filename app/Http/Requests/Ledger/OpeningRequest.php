<?php

declare(strict_types=1);

namespace App\Http\Requests\Ledger;

use Almanac\Terms\Side;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class OpeningRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('OpeningInput', [
            'side' => Input::oneOf(Side::class),
            'amount' => Input::text(),
            'currency' => Input::text(),
            'asOf' => Input::text()->says('The day it was owed, and ages from.'),
        ]);
    }
}
