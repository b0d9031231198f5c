<?php

declare(strict_types=1);

namespace App\Http\Requests\Records;

use Almanac\Reach\ContactKind;
use Almanac\Reach\ContactUse;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class ReachRequest extends SectionRequest
{
    protected static function sectionShape(): Shape
    {
        return Shape::named('ReachInput', [
            'contactPoints' => Input::listOf(Shape::named('ContactPointInput', [
                'id' => Input::id()->orNull()->says('Null for a new one.'),
                'kind' => Input::oneOf(ContactKind::class),
                'value' => Input::text(),
                'label' => Input::text(40),
                'uses' => Input::listOf(Input::oneOf(ContactUse::class), 20),
                'isPrimary' => Input::flag(),
                'addressUseId' => Input::id()->orNull()->says('The address at which they are reached so, of several.'),
                'sameAsId' => Input::id()->orNull()->says(
                    'The one of another record that it is used from by link, as long as it is the same there; null for one of its own.',
                ),
            ]), 100),
        ]);
    }
}
