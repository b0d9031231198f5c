<?php

declare(strict_types=1);

namespace App\Http\Requests\Records;

use Almanac\Addresses\AddressUse;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class AddressesRequest extends SectionRequest
{
    protected static function sectionShape(): Shape
    {
        return Shape::named('AddressesInput', [
            'addresses' => Input::listOf(Shape::named('AddressInput', [
                'id' => Input::id()->orNull()->says('Null for a new one.'),
                'linkedAddressId' => Input::id()->orNull()->says('An address to be used by link, instead of one typed here.'),
                'country' => Input::text()->says('ISO 3166-1 alpha-2.'),
                'lines' => Input::text(),
                'locality' => Input::text(),
                'region' => Input::text(),
                'postcode' => Input::text(),
                'attention' => Input::text(100)->says('A desk or a person whom post is for.'),
                'careOf' => Input::text(100)->says('Who takes it in for them.'),
                'uses' => Input::listOf(Input::oneOf(AddressUse::class), 20),
                'isPrimary' => Input::flag(),
                'since' => Input::text()->says('A date as people type it, or empty.'),
                'until' => Input::text(),
            ]), 100),
        ]);
    }
}
