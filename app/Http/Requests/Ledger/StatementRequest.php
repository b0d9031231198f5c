<?php

declare(strict_types=1);

namespace App\Http\Requests\Ledger;

use Almanac\Terms\Side;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;
use Illuminate\Validation\Rule;

/** For which side and time a statement is asked. */
final class StatementRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('StatementInput', [
            'side' => Input::oneOf(Side::class),
            'currency' => Input::text(3)->filled('USD')->also('size:3'),
            'from' => Input::text(40)->optional()->says('A date as people type it; empty for the beginning.'),
            'to' => Input::text(40)->optional()->says('Empty for today.'),
            'format' => Input::text(4)->optional()->also(Rule::in(['json', 'pdf', 'csv'])),
        ]);
    }

    /** @return array{side: string, currency: string, from: string, to: string} */
    public function period(): array
    {
        return [
            'side' => $this->string('side')->value(),
            'currency' => $this->string('currency')->value(),
            'from' => $this->string('from')->value(),
            'to' => $this->string('to')->value(),
        ];
    }
}
