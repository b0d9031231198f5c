<?php

declare(strict_types=1);

namespace App\Http\Requests\Records;

use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class TermsRequest extends SectionRequest
{
    protected static function sectionShape(): Shape
    {
        return Shape::named('TermsInput', [
            'listedId' => Input::id()->orNull()->says('An entry of the office’s list. With neither, the office’s default holds.'),
            'shorthand' => Input::text(300)->orNull()->says('Terms as they are typed, such as 2/10 net 30.'),
            'fields' => Input::listOf(Shape::named('NamedValueInput', [
                'name' => Input::text(40)->filled(),
                'value' => Input::text(300)->orNull(),
            ]), 20)->optional()->says('What else is the party’s own; null lets it be inherited. What is not told stays as it is.'),
        ]);
    }
}
