<?php

declare(strict_types=1);

namespace App\Http\Requests\Records;

use Almanac\Records\StreamFilter;
use Almanac\Records\StreamPlace;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;
use Illuminate\Validation\Rule;

/** What of a history somebody wants to see, and from where on. */
final class StreamRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('StreamQuery', [
            'show' => Input::oneOf(StreamFilter::class)->optional(),
            'before' => Input::text(40)->optional()->also('regex:'.StreamPlace::SHAPE)->says('Where the stretch before ended.'),
            'withPeople' => Input::text(5)->optional()->also(Rule::in(['true', 'false', '0', '1']))->says(
                'Of a company: what concerns those who work there too.',
            ),
        ]);
    }

    public function filter(): StreamFilter
    {
        return $this->enum('show', StreamFilter::class) ?? StreamFilter::All;
    }

    public function before(): ?StreamPlace
    {
        return StreamPlace::read($this->string('before')->value());
    }

    public function withPeople(): bool
    {
        return $this->boolean('withPeople');
    }
}
