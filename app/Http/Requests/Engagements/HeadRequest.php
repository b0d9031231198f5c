<?php

declare(strict_types=1);

namespace App\Http\Requests\Engagements;

use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class HeadRequest extends VersionedRequest
{
    protected static function sectionShape(): Shape
    {
        return Shape::named('EngagementHeadInput', self::head());
    }

    /** @return array<string, Input> what one that is begun has, too */
    public static function head(): array
    {
        return [
            'title' => Input::text(),
            'ownerId' => Input::id()->orNull()->says('Who looks after it.'),
            'currency' => Input::text(3)->filled('USD')->also('size:3'),
            'agreed' => Input::text()->says('The fee or the budget; empty for none.'),
            'terms' => Input::text(200)->optional()->says('Payment terms in shorthand, for whoever is billed; empty for their own.'),
            'value' => Input::text()->says('Of an enquiry: what it may be worth; empty where that is not known.'),
            'chance' => Input::text(20)->says('Of an enquiry, in per cent; empty for 100.'),
            'decidedOn' => Input::text()->says('When a decision is expected, as people type it; empty for no day.'),
            'isPrivate' => Input::flag()->says('Only those named may see it.'),
            'readerIds' => Input::listOf(Input::id()->also('distinct'), 100)->says('Who may see it while it is private.'),
        ];
    }
}
