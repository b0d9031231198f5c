<?php

declare(strict_types=1);

namespace App\Http\Requests\Interchange;

use Almanac\Interchange\ListFormat;
use Almanac\Lists\ListView;
use App\Http\Requests\Lists\NarrowsList;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

/** Which records leave the book, and in what form. */
final class ExportQuery extends ShapedRequest
{
    use NarrowsList;

    public static function shape(): Shape
    {
        return Shape::named('ExportQuery', [
            'format' => Input::oneOf(ListFormat::class)->optional()->says('Of a list a table, of one record a vCard 4.0, where nothing is said.'),
            'filter' => self::sentence(),
            'archived' => self::withArchived(),
            'sort' => self::sorting(),
            'columns' => self::columns(),
            'view' => Input::oneOf(ListView::class)->optional(),
        ]);
    }

    public function listFormat(ListFormat $unsaid): ListFormat
    {
        return $this->enum('format', ListFormat::class) ?? $unsaid;
    }
}
