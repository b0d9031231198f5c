<?php

declare(strict_types=1);

namespace App\Http\Requests\Mailing;

use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

/** Which fields a letter may have. */
final class LetterFieldsQuery extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('LetterFieldsQuery', [
            'engagement' => Input::text(5)->optional()->also('in:true,false,0,1')->says('Those of a case or project too.'),
        ]);
    }
}
