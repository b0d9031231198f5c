<?php

declare(strict_types=1);

namespace App\Http\Requests\Interchange;

use Almanac\Interchange\ListFormat;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

/** In what form a table to fill in is wanted. */
final class TemplateQuery extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named(
            'TemplateQuery',
            ['format' => Input::oneOf(ListFormat::class, [ListFormat::Csv, ListFormat::Xlsx, ListFormat::Ods])->optional()],
        );
    }
}
