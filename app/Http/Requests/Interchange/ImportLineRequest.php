<?php

declare(strict_types=1);

namespace App\Http\Requests\Interchange;

use Almanac\Interchange\OnExisting;
use Almanac\Interchange\TableFile;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;
use App\Models\ImportLine;
use Illuminate\Validation\Rule;

/** What somebody says of one line of a file. */
final class ImportLineRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('ImportLineInput', [
            'cells' => Input::listOf(Shape::named('ImportCellInput', [
                'column' => Input::whole(0, TableFile::MOST_COLUMNS - 1),
                'text' => Input::text(TableFile::LONGEST_CELL),
            ]), TableFile::MOST_COLUMNS)->says('The cells that are mended.'),
            'decision' => Input::text(10)->orNull()->says('new, record or out; null leaves it to the program.'),
            'recordId' => Input::id()->orNull()->says('Whom it is about.'),
            'existing' => Input::oneOf(OnExisting::class)->orNull()->says('Otherwise than for the file.'),
        ]);
    }

    /** @return array<string, list<mixed>> */
    protected function furtherRules(): array
    {
        return ['decision' => [Rule::in([ImportLine::NEW, ImportLine::RECORD, ImportLine::OUT])]];
    }

    /** @return array<int, string> by column */
    public function cells(): array
    {
        /** @var list<array{column: int, text: string|null}> $cells */
        $cells = $this->validated('cells');

        return array_map(strval(...), array_column($cells, 'text', 'column'));
    }
}
