<?php

declare(strict_types=1);

namespace App\Http\Requests\Records;

use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class ClassificationRequest extends SectionRequest
{
    protected static function sectionShape(): Shape
    {
        return Shape::named('ClassificationInput', [
            'types' => Input::listOf(Input::text(200)->filled()->also('distinct'), 20),
            'tags' => Input::listOf(Input::text(200)->filled()->also('distinct'), 50)->says('A new one is put into the office’s list.'),
            'ownerId' => Input::id()->orNull(),
            'accountManagerId' => Input::id()->orNull()->says('Null takes it over from the company.'),
            'buyerId' => Input::id()->orNull(),
            'source' => Input::text(),
            'language' => Input::text()->says('ISO 639, or empty.'),
            'grade' => Input::id()->orNull()->says('1 to 5.'),
            'codes' => Input::listOf(Shape::named('CodeInput', [
                'id' => Input::id()->orNull()->says('Null for a new one.'),
                'system' => Input::text(),
                'value' => Input::text(),
            ]), 30),
        ]);
    }
}
