<?php

declare(strict_types=1);

namespace App\Http\Requests\Records;

use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

/** A past day, and the day that stands beside it. */
final class AsOfRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('AsOfQuery', [
            'day' => Input::text(40)->optional()->says('As it is typed, such as 3/3 or 3 Mar 2026; today where none is given.'),
            'other' => Input::text(40)->optional()->says('The day beside it; today where none is given.'),
        ]);
    }

    public function day(): string
    {
        return $this->string('day')->value();
    }

    public function other(): string
    {
        return $this->string('other')->value();
    }
}
