<?php

declare(strict_types=1);

namespace App\Http\Requests\Records;

use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class ReplaceRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('ReplaceInput', [
            'successorId' => Input::id()->says('The person who follows.'),
            'since' => Input::text(100)->says('The first day, as people type it; empty for today.'),
            'contactPointIds' => Input::listOf(Input::id(), 50)->says('Phones and mailboxes that are handed over.'),
        ]);
    }
}
