<?php

declare(strict_types=1);

namespace App\Http\Requests\Records;

use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

/** Something that is being typed, and the record it is typed for. */
final class KnownRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('KnownQuery', [
            'typed' => Input::text()->optional(),
            'country' => Input::text(2)->optional(),
            'exceptId' => Input::number()->optional(),
        ]);
    }

    public function typed(): string
    {
        return $this->string('typed')->value();
    }

    public function exceptId(): ?int
    {
        return $this->query('exceptId') === null ? null : $this->integer('exceptId');
    }
}
