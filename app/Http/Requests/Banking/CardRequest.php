<?php

declare(strict_types=1);

namespace App\Http\Requests\Banking;

use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class CardRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('CardInput', [
            'number' => Input::text(200)->says('Checked, handed to the vault, and not kept.'),
            'expires' => Input::text(200)->says('As in 04/28.'),
            'holder' => Input::text(200),
            'postcode' => Input::text(200)->says('Of the billing address.'),
        ]);
    }
}
