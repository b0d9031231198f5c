<?php

declare(strict_types=1);

namespace App\Http\Requests\Office;

use Almanac\Details\FieldKind;
use Almanac\Readiness\Purpose;
use Almanac\Records\PartyKind;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class SheetRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('SheetInput', [
            'name' => Input::text(),
            'partyKind' => Input::oneOf(PartyKind::class)->orNull()->says('Null for people and companies alike.'),
            'type' => Input::text()->says('Only for records of that type; empty for all.'),
            'engagementKindId' => Input::id()->orNull()->optional()->says(
                'Only for cases or projects of that kind; null for people and companies.',
            ),
            'isRetired' => Input::flag(),
            'fields' => Input::listOf(Shape::named('SheetFieldInput', [
                'id' => Input::id()->orNull()->says('Null for a new one.'),
                'name' => Input::text(),
                'kind' => Input::oneOf(FieldKind::class),
                'options' => Input::listOf(Input::text(), 100),
                'help' => Input::text(200),
                'requiredFor' => Input::oneOf(Purpose::class)->orNull(),
                'isRetired' => Input::flag(),
            ]), 100)->says('In their order. One that is left out is retired when records have filled it in.'),
        ]);
    }
}
