<?php

declare(strict_types=1);

namespace App\Http\Requests\Mailing;

use Almanac\Mailing\LetterWay;
use App\Http\Requests\Lists\ChoosesRecords;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

/** Whom letters would go to, and how. */
final class LettersToRequest extends ShapedRequest
{
    use ChoosesRecords;

    public static function shape(): Shape
    {
        return Shape::named('LettersToInput', [
            'chosen' => self::chosenOnes(),
            'way' => Input::oneOf(LetterWay::class),
            'isOnceAHousehold' => Input::flag()->says('One for all who live at one address.'),
        ]);
    }

    public function way(): LetterWay
    {
        return $this->enum('way', LetterWay::class) ?? LetterWay::Paper;
    }
}
