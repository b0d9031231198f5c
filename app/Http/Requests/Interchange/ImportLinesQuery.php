<?php

declare(strict_types=1);

namespace App\Http\Requests\Interchange;

use Almanac\Interchange\LineDone;
use Almanac\Interchange\LineOutcome;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

/** Which lines of a file. */
final class ImportLinesQuery extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('ImportLinesQuery', [
            'outcome' => Input::oneOf(LineOutcome::class)->optional(),
            'done' => Input::oneOf(LineDone::class)->optional(),
            'page' => Input::number()->optional(),
        ]);
    }
}
