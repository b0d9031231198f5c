<?php

declare(strict_types=1);

namespace App\Http\Requests\Notes;

use Almanac\Cautions\CautionLevel;
use Almanac\Cautions\CautionUse;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class CautionRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('CautionInput', [
            'level' => Input::oneOf(CautionLevel::class),
            'use' => Input::oneOf(CautionUse::class),
            'text' => Input::text(2000),
            'since' => Input::text(60)->says('A date as people type it, or empty.'),
            'until' => Input::text(60),
        ]);
    }
}
