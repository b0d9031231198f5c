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
            'noLettersOn' => Input::text()->optional()->says(
                'Since when they want no letters; empty where they take them. With it goes the next; without it they stay as they are.',
            ),
            'noLettersHow' => Input::text()->optional()->says('How they said so, such as "by phone".'),
            'codes' => Input::listOf(Shape::named('CodeInput', [
                'id' => Input::id()->orNull()->says('Null for a new one.'),
                'system' => Input::text(),
                'value' => Input::text(),
            ]), 30),
        ]);
    }

    protected function furtherRules(): array
    {
        return ['noLettersHow' => $this->has('noLettersOn') ? ['present'] : []];
    }
}
