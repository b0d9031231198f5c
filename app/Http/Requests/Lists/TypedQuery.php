<?php

declare(strict_types=1);

namespace App\Http\Requests\Lists;

use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

/** A sentence up to where somebody types. */
final class TypedQuery extends ShapedRequest
{
    private const LONGEST = 10000;

    public static function shape(): Shape
    {
        return Shape::named('TypedQuery', ['typed' => Input::text(self::LONGEST)->optional()]);
    }

    /** With the space at its end, which says that a word is done. */
    public function typed(): string
    {
        $typed = $this->query('typed');

        return is_string($typed) ? $typed : '';
    }
}
