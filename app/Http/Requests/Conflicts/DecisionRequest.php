<?php

declare(strict_types=1);

namespace App\Http\Requests\Conflicts;

use Almanac\Conflicts\Decision;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class DecisionRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('DecisionInput', [
            'decision' => Input::oneOf(Decision::class),
            'reason' => Input::text(),
            'version' => Input::whole(0)->says('That has been seen.'),
            'on' => Input::text()->says('The day, as people type it; empty for today.'),
        ]);
    }
}
