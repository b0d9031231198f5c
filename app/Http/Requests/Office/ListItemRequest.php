<?php

declare(strict_types=1);

namespace App\Http\Requests\Office;

use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class ListItemRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('ListItemInput', [
            'name' => Input::text(),
            'inverse' => Input::text()->says('How it is told from the other end; empty when that is the same.'),
            'isRetired' => Input::flag()->optional()->says('Of an entry that is there.'),
        ]);
    }
}
