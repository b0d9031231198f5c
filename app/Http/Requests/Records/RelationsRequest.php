<?php

declare(strict_types=1);

namespace App\Http\Requests\Records;

use Almanac\Names\TogetherAs;
use Almanac\Relations\Sharing;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class RelationsRequest extends SectionRequest
{
    protected static function sectionShape(): Shape
    {
        return Shape::named('RelationsInput', [
            'relations' => Input::listOf(Shape::named('RelationInput', [
                'id' => Input::id()->orNull()->says('Null for a new one.'),
                'partyId' => Input::id(),
                'kind' => Input::text(200)->filled()->says('What the other is to this one.'),
                'together' => Input::oneOf(TogetherAs::class)->says('Of spouses: how they are written to.'),
                'since' => Input::text()->says('A date as people type it, or empty.'),
                'until' => Input::text(),
                'address' => Input::oneOf(Sharing::class)->optional()->says(
                    'Whose address both use from now on: each their own, this one the other’s by link, or the other this one’s.',
                ),
                'addressId' => Input::id()->orNull()->optional()->says('Which of the addresses; null for the one that post goes to.'),
                'phone' => Input::oneOf(Sharing::class)->optional(),
            ]), 200),
        ]);
    }
}
