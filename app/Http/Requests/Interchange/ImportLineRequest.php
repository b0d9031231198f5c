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
    /** A file of so many rows may have more lines, some of them empty. */
    private const LAST_LINE = 10_000_000;

    public static function shape(): Shape
    {
        return Shape::named('ImportLineInput', [
            'cells' => Input::listOf(Shape::named('ImportCellInput', [
                'line' => Input::whole(0, self::LAST_LINE)->optional()->says('Of a document with several lines: which of them.'),
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

    /**
     * @param int $line of those that name none
     *
     * @return array<int, array<int, string>> by line and column
     */
    public function cells(int $line): array
    {
        /** @var list<array{line?: int|null, column: int, text: string|null}> $given */
        $given = $this->validated('cells');
        $cells = [];
        foreach ($given as $one) {
            $cells[$one['line'] ?? $line][$one['column']] = $one['text'] ?? '';
        }

        return $cells;
    }
}
