<?php

declare(strict_types=1);

namespace App\Http\Requests\Engagements;

use Almanac\Engagements\StageKind;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class EngagementKindRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('EngagementKindInput', [
            'name' => Input::text(60)->says('As in case.'),
            'plural' => Input::text(60)->says('As in cases.'),
            'sign' => Input::text(8)->says('What its numbers begin with: two to six letters.'),
            'isRetired' => Input::flag(),
            'stages' => Input::listOf(Shape::named('StageInput', [
                'id' => Input::id()->orNull()->says('Null for a new one.'),
                'name' => Input::text(60),
                'meaning' => Input::oneOf(StageKind::class),
                'mostDays' => Input::whole(1, 3650)->orNull()->says('After which something has stood there too long.'),
                'isRetired' => Input::flag(),
            ]), 50)->says('In their order. One that is left out is retired when something has been in it.'),
            'roles' => Input::listOf(Shape::named('RoleInput', [
                'id' => Input::id()->orNull()->says('Null for a new one.'),
                'name' => Input::text(60),
                'least' => Input::whole(0, 99)->says('How many it needs.'),
                'most' => Input::whole(1, 99)->orNull()->says('How many it may have; null for any number.'),
                'isClient' => Input::flag()->says('It is done for whoever has it.'),
                'opposes' => Input::listOf(Input::text(60), 50)->says('The roles of this list that stand against it.'),
                'isRetired' => Input::flag(),
            ]), 50)->says('In their order.'),
        ]);
    }
}
