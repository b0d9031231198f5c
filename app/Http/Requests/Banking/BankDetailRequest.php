<?php

declare(strict_types=1);

namespace App\Http\Requests\Banking;

use Almanac\Banking\AccountKind;
use Almanac\Banking\AccountUse;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class BankDetailRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('BankDetailInput', [
            'kind' => Input::oneOf(AccountKind::class),
            'iban' => Input::text(200),
            'bic' => Input::text(200),
            'routing' => Input::text(200),
            'sortCode' => Input::text(200),
            'account' => Input::text(200),
            'use' => Input::oneOf(AccountUse::class),
            'holder' => Input::text(200)->says('In whose name the account is.'),
            'bankName' => Input::text(200),
        ]);
    }
}
