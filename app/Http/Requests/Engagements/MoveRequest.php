<?php

declare(strict_types=1);

namespace App\Http\Requests\Engagements;

use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class MoveRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('StageMoveInput', [
            'fromId' => Input::id()->says('The stage that it was seen in.'),
            'stageId' => Input::id()->says('The stage that it comes into.'),
            'on' => Input::text()->says('As people type it; empty for today.'),
            'reason' => Input::text(200)->says('How it ended, why it was lost, or why it is opened again.'),
            'isSure' => Input::flag()->says('It is closed although drafts are left.'),
        ]);
    }
}
