<?php

declare(strict_types=1);

namespace App\Http\Requests\Records;

use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class DetailsRequest extends SectionRequest
{
    protected static function sectionShape(): Shape
    {
        return Shape::named('DetailsInput', [
            'values' => Input::listOf(Shape::named('FieldValueInput', [
                'fieldId' => Input::id()->also('distinct'),
                'value' => Input::text(10000)->orNull()->says(
                    'As somebody types it, several choices on a line each; null leaves it as it is.',
                ),
            ]), 500),
        ]);
    }
}
