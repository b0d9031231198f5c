<?php

declare(strict_types=1);

namespace App\Http\Requests\LookAlikes;

use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

/** Which pairs are settled, and why so. */
final class SettleRequest extends ShapedRequest
{
    private const MOST = 500;

    public static function shape(): Shape
    {
        return Shape::named('SettleInput', [
            'pairIds' => Input::listOf(Input::id(), self::MOST),
            'why' => Input::text(2000)->optional()->says('In a few words; may be left out.'),
        ]);
    }

    /** @return list<int> */
    public function pairIds(): array
    {
        /** @var list<int> */
        return array_values($this->array('pairIds'));
    }
}
