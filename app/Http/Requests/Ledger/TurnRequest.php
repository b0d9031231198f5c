<?php

declare(strict_types=1);

namespace App\Http\Requests\Ledger;

use Almanac\Ledger\DocumentKind;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class TurnRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('TurnInput', [
            'kind' => Input::oneOf(DocumentKind::class)->says('What it becomes.'),
            'isConfirmed' => Input::flag()->says('Whether somebody was asked when nothing is left of it, and said yes.'),
        ]);
    }
}
