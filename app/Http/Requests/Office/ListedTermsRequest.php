<?php

declare(strict_types=1);

namespace App\Http\Requests\Office;

use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class ListedTermsRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('ListedTermsInput', [
            'name' => Input::text(),
            'shorthand' => Input::text()->says('As the trade writes them.'),
            'isClientDefault' => Input::flag()->says('What clients have who have none of their own.'),
            'isVendorDefault' => Input::flag(),
            'isRetired' => Input::flag()->says('Kept where they are used, and offered no more.'),
        ]);
    }
}
