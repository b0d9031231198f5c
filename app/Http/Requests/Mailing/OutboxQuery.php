<?php

declare(strict_types=1);

namespace App\Http\Requests\Mailing;

use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

/** Which of the messages that were sent. */
final class OutboxQuery extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('OutboxQuery', [
            'q' => Input::text(200)->optional()->says('Part of an address, a subject or a name.'),
            'page' => Input::number()->optional(),
        ]);
    }
}
