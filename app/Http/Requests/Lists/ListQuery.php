<?php

declare(strict_types=1);

namespace App\Http\Requests\Lists;

use App\Facts\Lists\Wanted;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

/** Which list somebody wants to see, in which order, and which page of it. */
final class ListQuery extends ShapedRequest
{
    /** Longer than a sentence may be: what is too long is said beside it. */
    private const LONGEST = 10000;

    private const KEYS = 1000;

    private const LAST_PAGE = 1_000_000;

    public static function shape(): Shape
    {
        return Shape::named('ListQuery', [
            'filter' => Input::text(self::LONGEST)->optional()->says('A sentence, such as "vendors in VT without a tax number".'),
            'sort' => Input::text(self::KEYS)->optional()->says('Keys of fields with commas between them, the first one counting most; with a minus the other way round.'),
            'columns' => Input::text(self::KEYS)->optional()->says('Keys of fields with commas between them.'),
            'page' => Input::number()->optional(),
            'archived' => Input::text(5)->optional()->also('in:true,false,0,1')->says('Archived ones too; a filter may ask for them as well.'),
        ]);
    }

    public function wanted(): Wanted
    {
        return new Wanted(
            $this->string('filter')->value(),
            Wanted::keys($this->string('sort')->value()),
            Wanted::keys($this->string('columns')->value()),
            max(1, min(self::LAST_PAGE, $this->integer('page', 1))),
            $this->boolean('archived'),
        );
    }
}
