<?php

declare(strict_types=1);

namespace App\Http\Requests\Mailing;

use App\Http\Requests\Lists\NarrowsList;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

/** Who stands in an address book on paper. */
final class AddressBookQuery extends ShapedRequest
{
    use NarrowsList;

    public static function shape(): Shape
    {
        return Shape::named('AddressBookQuery', [
            'filter' => self::sentence(),
            'archived' => self::withArchived(),
            'phones' => Input::text(5)->optional()->also('in:true,false,0,1')->says('Only the phones.'),
        ]);
    }
}
