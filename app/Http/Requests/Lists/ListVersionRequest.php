<?php

declare(strict_types=1);

namespace App\Http\Requests\Lists;

use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

/** Which version of a list is to be removed. */
final class ListVersionRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('ListVersionInput', ['version' => Input::whole(0)]);
    }

    public function version(): int
    {
        return $this->integer('version');
    }
}
