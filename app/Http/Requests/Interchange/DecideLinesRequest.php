<?php

declare(strict_types=1);

namespace App\Http\Requests\Interchange;

use Almanac\Interchange\LineOutcome;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;
use App\Models\ImportLine;
use Illuminate\Validation\Rule;

/** The same of all lines that come to the same. */
final class DecideLinesRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('DecideLinesInput', [
            'outcome' => Input::oneOf(LineOutcome::class),
            'decision' => Input::text(10)->orNull()->says('new or out; null takes for each what is likeliest.'),
        ]);
    }

    /** @return array<string, list<mixed>> */
    protected function furtherRules(): array
    {
        return ['decision' => [Rule::in([ImportLine::NEW, ImportLine::OUT])]];
    }
}
