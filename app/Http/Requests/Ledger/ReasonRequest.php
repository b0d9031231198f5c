<?php

declare(strict_types=1);

namespace App\Http\Requests\Ledger;

use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class ReasonRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('ReasonInput', [
            'reason' => Input::text(300)->filled(),
            'amount' => Input::text()->says('What of it is written off; empty for all that is open.'),
        ]);
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'reason.required' => 'Say why.',
        ];
    }
}
