<?php

declare(strict_types=1);

namespace App\Http\Requests\Engagements;

use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

/** A section of a case or a project to be saved, and the version of it that the person who saves has seen. */
abstract class VersionedRequest extends ShapedRequest
{
    /** What the section itself is made of. */
    abstract protected static function sectionShape(): Shape;

    final public static function shape(): Shape
    {
        $section = static::sectionShape();

        return Shape::named($section->name, ['version' => Input::whole(0)->says('That has been seen.'), ...$section->inputs]);
    }

    /** @return array<string, mixed> */
    final public function section(): array
    {
        return $this->safe()->except('version');
    }

    final public function version(): int
    {
        return $this->integer('version');
    }
}
