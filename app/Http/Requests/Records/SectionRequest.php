<?php

declare(strict_types=1);

namespace App\Http\Requests\Records;

use App\Actions\Records\Following;
use App\Http\Requests\Ledger\FollowRequest;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

/** A section to be saved, and the version of it that the person who saves has seen. */
abstract class SectionRequest extends ShapedRequest
{
    /** What the section itself is made of. */
    abstract protected static function sectionShape(): Shape;

    final public static function shape(): Shape
    {
        $section = static::sectionShape();

        return Shape::named($section->name, [
            'version' => Input::whole(0)->says('That has been seen.'),
            'follow' => FollowRequest::part('The documents that take over what is saved.'),
            ...$section->inputs,
        ]);
    }

    /** @return array<string, mixed> */
    public function section(): array
    {
        return $this->safe()->except('version', 'follow');
    }

    /** The documents that take over what is saved; null for none. */
    public function following(): ?Following
    {
        return FollowRequest::read($this->validated('follow'));
    }

    public function version(): int
    {
        return $this->integer('version');
    }
}
