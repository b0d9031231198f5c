<?php

declare(strict_types=1);

namespace App\Http\Requests\Reminders;

use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class ReminderRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('ReminderInput', [
            'text' => Input::text(2000),
            'day' => Input::text(100)->says('A date as people type it; empty for today.'),
            'time' => Input::text(100)->says('As people type it; empty for nine in the morning.'),
            'rule' => Input::text(300)->says('A rule of RFC 5545, or words such as “every week”; empty for once.'),
            'userId' => Input::id()->says('For whom.'),
        ]);
    }
}
