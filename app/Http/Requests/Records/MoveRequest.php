<?php

declare(strict_types=1);

namespace App\Http\Requests\Records;

use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class MoveRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('MoveInput', [
            'since' => Input::text()->says('The first day at the new address, as people type it; empty for today.'),
            'everybody' => Input::flag()->says('Whether all who use the old address move.'),
            'country' => Input::text()->says('ISO 3166-1 alpha-2.'),
            'lines' => Input::text(),
            'locality' => Input::text(),
            'region' => Input::text(),
            'postcode' => Input::text(),
            'documentIds' => Input::listOf(Input::id(), 5000)->says('Drafts and open documents that take the new address.'),
        ]);
    }

    /** @return array{since: string, everybody: bool, country: string, lines: string, locality: string, region: string, postcode: string} */
    public function place(): array
    {
        /**
         * @var array{
         *     since: string, everybody: bool, country: string, lines: string, locality: string, region: string,
         *     postcode: string,
         * }
         */
        return $this->safe()->except('documentIds');
    }

    /** @return list<int> */
    public function documentIds(): array
    {
        /** @var list<int> */
        return $this->validated('documentIds');
    }
}
