<?php

declare(strict_types=1);

namespace App\Http\Requests\Books;

use Almanac\Ledger\AgeingBy;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class BooksRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('BooksInput', [
            'ageingBy' => Input::oneOf(AgeingBy::class),
            'warnAfter' => Input::id(),
            'lateRate' => Input::text(300),
            'latePerMonth' => Input::flag(),
            'keepsUsHolidays' => Input::flag(),
        ]);
    }
}
