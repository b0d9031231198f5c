<?php

declare(strict_types=1);

namespace App\Http\Requests\Records;

use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class BringBackRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('BringBackInput', [
            'day' => Input::text(40)->filled('3 Mar 2026')->says('What the section was on it is saved again.'),
            'version' => Input::whole(0)->says('That has been seen.'),
        ]);
    }

    public function day(): string
    {
        return $this->string('day')->value();
    }

    public function version(): int
    {
        return $this->integer('version');
    }
}
