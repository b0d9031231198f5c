<?php

declare(strict_types=1);

namespace App\Http\Requests\Records;

use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

final class RevealRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('RevealInput', [
            'fieldId' => Input::id()->orNull()->says('A secret of a detail sheet; null for none.'),
            'taxNumberId' => Input::id()->orNull()->says('A tax number; null, and the other null too, for the birth date.'),
        ]);
    }

    public function fieldId(): ?int
    {
        return $this->input('fieldId') === null ? null : $this->integer('fieldId');
    }

    public function taxNumberId(): ?int
    {
        return $this->input('taxNumberId') === null ? null : $this->integer('taxNumberId');
    }
}
