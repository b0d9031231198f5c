<?php

declare(strict_types=1);

namespace App\Http\Requests\Books;

use Almanac\Ledger\AccountKind;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class AccountRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('AccountInput', [
            'code' => Input::text(300),
            'name' => Input::text(300),
            'kind' => Input::oneOf(AccountKind::class),
            'isRetired' => Input::flag(),
        ]);
    }
}
