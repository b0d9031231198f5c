<?php

declare(strict_types=1);

namespace App\Http\Requests\Engagements;

use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class PartiesRequest extends VersionedRequest
{
    protected static function sectionShape(): Shape
    {
        return Shape::named('EngagementPartiesInput', ['parties' => self::rows()]);
    }

    public static function rows(): Input
    {
        return Input::listOf(Shape::named('EngagementPartyInput', [
            'id' => Input::id()->orNull()->says('Null for a new one.'),
            'partyId' => Input::id(),
            'roleId' => Input::id(),
            'viaId' => Input::id()->orNull()->says('The company through which a person acts.'),
            'contactId' => Input::id()->orNull()->says('Whom to ask for at a company.'),
            'since' => Input::text()->says('A date as people type it, or empty.'),
            'until' => Input::text(),
            'share' => Input::text(20)->says('Of what is billed, in per cent; empty for who does not pay.'),
            'isMailed' => Input::flag()->says('Letters about it go there.'),
            'note' => Input::text(200),
        ]), 200);
    }
}
