<?php

declare(strict_types=1);

namespace App\Http\Requests\Notes;

use Almanac\Records\LogKind;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class LogEntryRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('LogEntryInput', [
            'kind' => Input::oneOf(LogKind::class),
            'day' => Input::text(60)->says('A date as people type it; empty means today.'),
            'withPartyId' => Input::id()->orNull(),
            'text' => Input::text(20000),
            'isPinned' => Input::flag(),
        ]);
    }
}
