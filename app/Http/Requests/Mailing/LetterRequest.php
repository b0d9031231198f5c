<?php

declare(strict_types=1);

namespace App\Http\Requests\Mailing;

use Almanac\Mailing\LetterText;
use Almanac\Mailing\LetterWay;
use App\Http\Requests\Lists\ChoosesRecords;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

/** A letter to those that are chosen. */
final class LetterRequest extends ShapedRequest
{
    use ChoosesRecords;

    public static function shape(): Shape
    {
        return Shape::named('LetterInput', [
            'chosen' => self::chosenOnes()->says('For a look at one letter: who gets it.'),
            'way' => Input::oneOf(LetterWay::class),
            'isOnceAHousehold' => Input::flag()->says('One for all who live at one address.'),
            'subject' => Input::text()->says('With fields between braces.'),
            'body' => Input::text(2 * LetterText::MOST_LETTERS)->says('With fields between braces, such as {greeting}.'),
            'day' => Input::text()->says('Of the letter; empty for today.'),
            'engagementId' => Input::id()->orNull()->says('The case or project that it speaks of.'),
        ]);
    }

    public function way(): LetterWay
    {
        return $this->enum('way', LetterWay::class) ?? LetterWay::Paper;
    }

    /** @return array{subject: string, body: string, way: string, isOnceAHousehold: bool, day: string, engagementId: int|null} */
    public function letter(): array
    {
        $engagement = $this->validated('engagementId');

        return [
            'subject' => $this->string('subject')->value(),
            'body' => $this->string('body')->value(),
            'way' => $this->string('way')->value(),
            'isOnceAHousehold' => $this->boolean('isOnceAHousehold'),
            'day' => $this->string('day')->value(),
            'engagementId' => is_int($engagement) ? $engagement : null,
        ];
    }
}
