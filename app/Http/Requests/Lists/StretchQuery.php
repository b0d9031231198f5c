<?php

declare(strict_types=1);

namespace App\Http\Requests\Lists;

use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

/** A stretch of a list: from which line on, and how many. */
final class StretchQuery extends ShapedRequest
{
    use NarrowsList;

    private const MOST = 200_000;

    public static function shape(): Shape
    {
        return Shape::named('StretchQuery', [
            'filter' => self::sentence(),
            'archived' => self::withArchived(),
            'sort' => self::sorting(),
            'from' => Input::number()->optional()->says('The first line is 1.'),
            'most' => Input::number()->optional(),
        ]);
    }

    public function from(): int
    {
        return max(1, min(self::MOST, $this->integer('from', 1))) - 1;
    }

    public function most(): int
    {
        return max(1, min(self::MOST, $this->integer('most', self::MOST)));
    }
}
