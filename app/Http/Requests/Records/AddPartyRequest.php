<?php

declare(strict_types=1);

namespace App\Http\Requests\Records;

use Almanac\Records\PartyKind;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class AddPartyRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('PartyInput', [
            'kind' => Input::oneOf(PartyKind::class),
            ...NameInputs::all(),
            'isClient' => Input::flag(),
            'isVendor' => Input::flag(),
            'companyId' => Input::id()->orNull()->optional()->says('The company at which a person gets a position.'),
            'companyName' => Input::text()->optional()->says('Of a person: a company that is added on the way.'),
            'people' => Input::listOf(Shape::named('NewPersonInput', [
                'name' => Input::text()->says('In one run; it is taken apart.'),
                'title' => Input::text(200)->says('Of the position.'),
            ]), 50)->optional()->says('Of a company: who works there, added with it.'),
            'title' => Input::text(200)->optional()->says('The title of that position.'),
        ]);
    }
}
