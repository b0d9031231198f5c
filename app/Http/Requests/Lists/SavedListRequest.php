<?php

declare(strict_types=1);

namespace App\Http\Requests\Lists;

use Almanac\Lists\ListView;
use Almanac\Lists\SentenceReader;
use App\Actions\Lists\KeepSavedLists;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;

/**
 * A list to be kept under a name.
 *
 * @phpstan-import-type SavedListInput from KeepSavedLists
 */
final class SavedListRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('SavedListInput', [
            'name' => Input::text(200),
            'sentence' => Input::text(SentenceReader::LONGEST)->says('Whom it asks for; empty for everybody.'),
            'choices' => Input::text(500)->optional()->says(
                'What is chosen besides, as it stands in an address: "state=open&side=client".',
            ),
            'columns' => Input::listOf(Input::text(60), 30)->says('Keys of fields; none for the usual ones.'),
            'sort' => Input::text(1000),
            'view' => Input::oneOf(ListView::class),
            'countedBy' => Input::text(200)->optional()->says('Of one that is counted: keys of fields with a comma between them.'),
            'period' => Input::text(40)->optional()->says('Of one that is counted: such as "this year".'),
            'isShared' => Input::flag()->says('Whether it is everybody’s.'),
            'version' => Input::whole(0)->optional()->says('Of the list that is changed.'),
        ]);
    }

    /** @return SavedListInput */
    public function list(): array
    {
        /** @var array{name: string|null, sentence: string|null, choices?: string|null, columns: list<string>, sort: string|null, view: string, countedBy?: string|null, period?: string|null, isShared: bool} $input */
        $input = $this->validated();

        return [
            'name' => $input['name'] ?? '', 'sentence' => $input['sentence'] ?? '', 'choices' => $input['choices'] ?? '',
            'columns' => $input['columns'],
            'sort' => $input['sort'] ?? '', 'view' => $input['view'], 'countedBy' => $input['countedBy'] ?? '',
            'period' => $input['period'] ?? '', 'isShared' => (bool) $input['isShared'],
        ];
    }

    public function version(): int
    {
        return $this->integer('version');
    }
}
