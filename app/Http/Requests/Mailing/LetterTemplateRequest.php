<?php

declare(strict_types=1);

namespace App\Http\Requests\Mailing;

use Almanac\Mailing\LetterText;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

/** A letter that the office writes again and again. */
final class LetterTemplateRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('LetterTemplateInput', [
            'name' => Input::text(),
            'subject' => Input::text()->says('With fields between braces, such as {name}.'),
            'body' => Input::text(2 * LetterText::MOST_LETTERS)->says('With fields between braces, such as {greeting}.'),
            'version' => Input::whole(0)->says('That has been seen; 0 of a new one.'),
        ]);
    }

    /** @return array{name: string, subject: string, body: string} */
    public function template(): array
    {
        return [
            'name' => $this->string('name')->value(), 'subject' => $this->string('subject')->value(),
            'body' => $this->string('body')->value(),
        ];
    }

    public function version(): int
    {
        return $this->integer('version');
    }
}
