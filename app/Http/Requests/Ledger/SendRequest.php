<?php

declare(strict_types=1);

namespace App\Http\Requests\Ledger;

use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class SendRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('SendInput', [
            'to' => Input::text()->says('Addresses, with commas between; empty for where such documents go.'),
            'text' => Input::text(5000),
        ]);
    }
}
