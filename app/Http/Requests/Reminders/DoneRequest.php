<?php

declare(strict_types=1);

namespace App\Http\Requests\Reminders;

use Almanac\Calendar\Day;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class DoneRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('DoneInput', [
            'day' => Input::isoDay()->says('The day it was due when it was seen; one that has gone on since is left alone.'),
        ]);
    }

    public function day(): Day
    {
        return Day::fromIso($this->string('day')->value());
    }
}
