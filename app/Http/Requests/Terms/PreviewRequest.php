<?php

declare(strict_types=1);

namespace App\Http\Requests\Terms;

use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class PreviewRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('PreviewInput', [
            'terms' => Input::text(300)->says('Shorthand, such as 2/10 net 30.'),
            'documentDate' => Input::text(60)->says('A date as people type it.'),
        ]);
    }
}
