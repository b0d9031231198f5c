<?php

declare(strict_types=1);

namespace App\Http\Requests\Engagements;

use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class ReplaceInRoleRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('ReplaceInRoleInput', [
            'partyId' => Input::id()->says('Who has the role from then on.'),
            'from' => Input::text()->says('The first day, as people type it; empty for today.'),
        ]);
    }
}
