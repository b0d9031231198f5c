<?php

declare(strict_types=1);

namespace App\Http\Requests\Interchange;

use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

/** An address book elsewhere, and what it takes to sign in there. */
final class BookElsewhereRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('BookElsewhereInput', [
            'address' => Input::text(2000)->says('At a place that the office allows.'),
            'name' => Input::text(250),
            'password' => Input::text(500)->says('It is not kept.'),
        ]);
    }

    /** @return array{address: string, name: string, password: string} */
    public function book(): array
    {
        return [
            'address' => $this->string('address')->value(), 'name' => $this->string('name')->value(),
            'password' => $this->string('password')->value(),
        ];
    }
}
