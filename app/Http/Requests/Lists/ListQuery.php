<?php

declare(strict_types=1);

namespace App\Http\Requests\Lists;

use Almanac\Lists\ListView;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

/** Which list somebody wants to see, in which order, and which page of it. */
final class ListQuery extends ShapedRequest
{
    use NarrowsList;

    public static function shape(): Shape
    {
        return Shape::named('ListQuery', [
            'filter' => self::sentence(),
            'archived' => self::withArchived(),
            'sort' => self::sorting(),
            'columns' => self::columns(),
            'view' => Input::oneOf(ListView::class)->optional()->says('A view other than a table has columns and an order of its own.'),
            'page' => Input::number()->optional(),
        ]);
    }
}
