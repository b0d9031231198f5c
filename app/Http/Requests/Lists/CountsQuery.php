<?php

declare(strict_types=1);

namespace App\Http\Requests\Lists;

use App\Facts\Lists\Wanted;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

/** Which list is counted, and by which fields. */
final class CountsQuery extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('CountsQuery', [
            'filter' => Input::text(10000)->optional(),
            'archived' => Input::text(5)->optional()->also('in:true,false,0,1'),
            'by' => Input::text(200)->optional()->says('Keys of one field or two, with a comma between them.'),
        ]);
    }

    public function wanted(): Wanted
    {
        return new Wanted($this->string('filter')->value(), withArchived: $this->boolean('archived'));
    }

    /** @return list<string> */
    public function by(): array
    {
        return Wanted::keys($this->string('by')->value());
    }
}
