<?php

declare(strict_types=1);

namespace App\Http\Requests\Lists;

use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

/** Which columns somebody wants to see, and how wide. */
final class LookRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('LookInput', [
            'columns' => Input::listOf(Shape::named('LookColumn', [
                'key' => Input::text(60)->filled('name'),
                'width' => Input::whole(40, 1000)->orNull()->says('In pixels; null for the usual width.'),
            ]), 30)->says('In their order; none for the usual ones again.'),
        ]);
    }

    /** @return list<array{key: string, width: int|null}> */
    public function columns(): array
    {
        /** @var array{columns: list<array{key: string, width: int|null}>} $input */
        $input = $this->validated();

        return $input['columns'];
    }
}
