<?php

declare(strict_types=1);

namespace App\Http\Requests\Lists;

use Almanac\Lists\Box;
use Almanac\Lists\ConditionRefused;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

/** Which list is looked at on the map, which part of the earth is in sight, and how near those are that make one dot. */
final class PlacesQuery extends ShapedRequest
{
    use NarrowsList;

    private const FINEST = 12;

    public static function shape(): Shape
    {
        return Shape::named('PlacesQuery', [
            'filter' => self::sentence(),
            'archived' => self::withArchived(),
            'nearness' => Input::number()->optional()->says('1 gathers by 8 degrees, each one more by half of it, down to 12.'),
            'inside' => Input::text(80)->optional()->says('Such as "42.8N 72.7W to 43.1N 72.4W"; the whole earth otherwise.'),
        ]);
    }

    /** In degrees. */
    public function cell(): float
    {
        return 16 / 2 ** max(1, min(self::FINEST, $this->integer('nearness', 3)));
    }

    public function inside(): ?Box
    {
        try {
            return Box::read($this->string('inside')->value());
        } catch (ConditionRefused) {
            return null;
        }
    }
}
