<?php

declare(strict_types=1);

namespace App\Http\Requests\Lists;

use Almanac\Lists\Operator;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

/** A condition that was put together by hand. */
final class ClauseQuery extends ShapedRequest
{
    private const MOST = 100;

    public static function shape(): Shape
    {
        return Shape::named('ClauseQuery', [
            'field' => Input::text(60)->filled('name'),
            'operator' => Input::oneOf(Operator::class),
            'values' => Input::text(20000)->optional()->says('What it is compared with, a line each.'),
        ]);
    }

    public function field(): string
    {
        return $this->string('field')->value();
    }

    public function operator(): Operator
    {
        return $this->enum('operator', Operator::class) ?? Operator::Has;
    }

    /** @return list<string> */
    public function values(): array
    {
        $lines = array_map(trim(...), explode("\n", $this->string('values')->value()));

        return array_slice(array_values(array_filter($lines, fn (string $line) => $line !== '')), 0, self::MOST);
    }
}
