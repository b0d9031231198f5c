<?php

declare(strict_types=1);

namespace App\Http\Requests\LookAlikes;

use Almanac\LookAlikes\LineKind;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

/** The name of a phone, an email or an address that different people share. */
final class SharedLineRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('SharedLineInput', [
            'kind' => Input::oneOf(LineKind::class),
            'value' => Input::text(300)->says('As it is kept.'),
            'name' => Input::text(2000),
        ]);
    }

    public function kind(): LineKind
    {
        return LineKind::from($this->string('kind')->value());
    }
}
