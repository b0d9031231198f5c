<?php

declare(strict_types=1);

namespace App\Http\Requests\Ledger;

use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class IssueRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('IssueInput', [
            'isConfirmed' => Input::flag()->says('Whether somebody was asked about the credit limit, and said yes.'),
            'version' => Input::id()->says('The one that was read.'),
        ]);
    }
}
