<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

/** Which version of something is to be removed: the one that has been seen. */
final class VersionRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('VersionInput', ['version' => Input::whole(0)]);
    }

    public function version(): int
    {
        return $this->integer('version');
    }
}
