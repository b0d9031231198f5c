<?php

declare(strict_types=1);

namespace App\Http\Requests\Interchange;

use Almanac\Access\Permission;
use Almanac\Interchange\ListFormat;
use Almanac\Lists\ListView;
use App\Http\Requests\Lists\NarrowsList;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;
use Illuminate\Auth\Access\AuthorizationException;

/** Which records leave the book, and in what form. */
final class ExportQuery extends ShapedRequest
{
    use NarrowsList;

    public static function shape(): Shape
    {
        return Shape::named('ExportQuery', [
            'format' => Input::oneOf(ListFormat::class)->optional()->says(
                'Of a list a table, of one record a vCard 4.0, where nothing is said. JSON is always of whole records: docs/record.schema.json.',
            ),
            'filter' => self::sentence(),
            'archived' => self::withArchived(),
            'sort' => self::sorting(),
            'columns' => self::columns(),
            'view' => Input::oneOf(ListView::class)->optional(),
            'whole' => self::flag()->says(
                'Of a table: everything that it can hold of a record, instead of the columns of the list; it can be read in again.',
            ),
            'private' => self::flag()->says('Of whole records: private values as they are, which is written into each log; else masked.'),
        ]);
    }

    private static function flag(): Input
    {
        return Input::text(5)->optional()->also('in:true,false,0,1');
    }

    /** @throws AuthorizationException when whoever asks may not see what is private */
    public function withPrivate(): bool
    {
        $asks = $this->boolean('private');
        if ($asks && $this->user()?->can(Permission::SeePrivate->value) !== true) {
            throw new AuthorizationException('Only those who may see private values can have them in a file.');
        }

        return $asks;
    }

    public function listFormat(ListFormat $unsaid): ListFormat
    {
        return $this->enum('format', ListFormat::class) ?? $unsaid;
    }
}
