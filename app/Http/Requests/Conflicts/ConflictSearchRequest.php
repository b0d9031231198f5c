<?php

declare(strict_types=1);

namespace App\Http\Requests\Conflicts;

use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class ConflictSearchRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('ConflictSearchInput', [
            'engagementId' => Input::id()->orNull()->says('For which it is made.'),
            'names' => Input::listOf(Shape::named('ConflictNameInput', [
                'name' => Input::text(300),
                'role' => Input::text(60)->says('That it is to have; empty where that is not known.'),
            ]), 500),
        ]);
    }
}
