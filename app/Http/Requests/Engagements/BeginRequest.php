<?php

declare(strict_types=1);

namespace App\Http\Requests\Engagements;

use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class BeginRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('EngagementInput', [
            'kindId' => Input::id(),
            'stageId' => Input::id(),
            'begunOn' => Input::text()->says('As people type it; empty for today.'),
            ...HeadRequest::head(),
            'parties' => PartiesRequest::rows(),
        ]);
    }
}
