<?php

declare(strict_types=1);

namespace App\Http\Requests\Records;

use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class PositionsRequest extends SectionRequest
{
    protected static function sectionShape(): Shape
    {
        return Shape::named('PositionsInput', [
            'positions' => Input::listOf(Shape::named('PositionInput', [
                'id' => Input::id()->orNull()->says('Null for a new one.'),
                'partyId' => Input::id()->says('The company of a person, or the person at a company.'),
                'title' => Input::text(200),
                'department' => Input::text(200),
                'duties' => Input::listOf(Input::text(200)->filled(), 50),
                'firstFor' => Input::listOf(Input::text(200)->filled(), 50)->says(
                    'Those of the duties that this person is the first to be asked about.',
                ),
                'isPrimary' => Input::flag(),
                'since' => Input::text()->says('A date as people type it, or empty.'),
                'until' => Input::text(),
            ]), 500),
        ]);
    }
}
