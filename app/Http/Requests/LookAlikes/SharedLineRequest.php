<?php

declare(strict_types=1);

namespace App\Http\Requests\LookAlikes;

use Almanac\Reach\ContactKind;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

/** The name of a phone or an email that different people share. */
final class SharedLineRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('SharedLineInput', [
            'kind' => Input::oneOf(ContactKind::class, [ContactKind::Phone, ContactKind::Email]),
            'value' => Input::text(300)->says('As it is kept.'),
            'name' => Input::text(2000),
        ]);
    }

    public function kind(): ContactKind
    {
        return ContactKind::from($this->string('kind')->value());
    }
}
