<?php

declare(strict_types=1);

namespace App\Http\Requests\Lists;

use Almanac\Lists\ListView;
use Almanac\Lists\SentenceReader;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

/** A list to be kept under a name. */
final class SavedListRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('SavedListInput', [
            'name' => Input::text(200),
            'sentence' => Input::text(SentenceReader::LONGEST)->says('Whom it asks for; empty for everybody.'),
            'columns' => Input::listOf(Input::text(60), 30)->says('Keys of fields; none for the usual ones.'),
            'sort' => Input::text(1000),
            'view' => Input::oneOf(ListView::class),
            'isShared' => Input::flag()->says('Whether it is everybody’s.'),
            'version' => Input::whole(0)->optional()->says('Of the list that is changed.'),
        ]);
    }

    /** @return array{name: string, sentence: string, columns: list<string>, sort: string, view: string, isShared: bool} */
    public function list(): array
    {
        /** @var array{name: string|null, sentence: string|null, columns: list<string>, sort: string|null, view: string, isShared: bool} $input */
        $input = $this->validated();

        return [
            'name' => $input['name'] ?? '', 'sentence' => $input['sentence'] ?? '', 'columns' => $input['columns'],
            'sort' => $input['sort'] ?? '', 'view' => $input['view'], 'isShared' => (bool) $input['isShared'],
        ];
    }

    public function version(): int
    {
        return $this->integer('version');
    }
}
