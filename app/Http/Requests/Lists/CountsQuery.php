<?php

declare(strict_types=1);

namespace App\Http\Requests\Lists;

use Almanac\Lists\Span;
use App\Facts\Lists\Wanted;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

/** Which list is counted, by which fields, and of which time what was billed and paid is added up. */
final class CountsQuery extends ShapedRequest
{
    use NarrowsList;

    public static function shape(): Shape
    {
        return Shape::named('CountsQuery', [
            'filter' => self::sentence(),
            'archived' => self::withArchived(),
            'by' => Input::text(200)->optional()->says('Keys of one field or two, with a comma between them.'),
            'period' => Input::text(40)->optional()->says('Such as "this year", "last 12 months" or "2025"; this year unless it is said.'),
        ]);
    }

    /** @return list<string> */
    public function by(): array
    {
        return Wanted::keys($this->string('by')->value());
    }

    /** What cannot be read is this year. */
    public function period(): Span
    {
        return Span::read($this->string('period')->value()) ?? Span::thisYear();
    }
}
