<?php

declare(strict_types=1);

namespace App\Http\Requests\Records;

use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class ArchiveRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('ArchiveInput', [
            'reason' => Input::text(),
        ]);
    }
}
