<?php

declare(strict_types=1);

namespace App\Http\Requests\Meetings;

use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

/** What came of a meeting. */
final class OutcomeRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('OutcomeInput', [
            'outcome' => Input::text(10_000),
            'version' => Input::whole(0)->says('That has been seen.'),
        ]);
    }
}
