<?php

declare(strict_types=1);

namespace App\Http\Requests\Interchange;

use Almanac\Interchange\OnExisting;
use Almanac\Interchange\TableFile;
use Almanac\Money\DecimalSign;
use Almanac\Records\PartyKind;
use Almanac\Terms\Side;
use App\Http\Requests\ShapedRequest;
use App\Http\Shapes\Input;
use App\Http\Shapes\Shape;
use App\Models\Import;
use App\Models\ImportSettings;

/** What the columns of a file are, and how it is to be read. */
final class ImportColumnsRequest extends ShapedRequest
{
    public static function shape(): Shape
    {
        return Shape::named('ImportColumnsInput', [
            'of' => Input::text(20)->optional()->also('in:'.Import::RECORDS.','.Import::DOCUMENTS)->says(
                'What is in it, where that was taken for something else; it is read from the beginning.',
            ),
            'sheet' => Input::text(255),
            'hasHeadings' => Input::flag(),
            'targets' => Input::listOf(Input::text(100), TableFile::MOST_COLUMNS)->says('What each column is; empty where it is left out.'),
            'isMonthFirst' => Input::flag(),
            'decimalSign' => Input::oneOf(DecimalSign::class),
            'existing' => Input::oneOf(OnExisting::class),
            'takesNewWords' => Input::flag(),
            'kind' => Input::oneOf(PartyKind::class)->orNull(),
            'roles' => Input::listOf(Input::oneOf(Side::class), 2),
        ]);
    }

    /** What is in it; as it is where nothing is said. */
    public function of(Import $import): string
    {
        return $this->string('of')->value() === '' ? $import->of : $this->string('of')->value();
    }

    public function settings(ImportSettings $kept): ImportSettings
    {
        /** @var array{sheet: string|null, hasHeadings: bool, targets: list<string|null>, isMonthFirst: bool, decimalSign: string, existing: string, takesNewWords: bool, kind: string|null, roles: list<string>} $input */
        $input = $this->validated();

        return $kept->with([
            'sheet' => $input['sheet'] ?? '',
            'hasHeadings' => $input['hasHeadings'],
            'targets' => array_map(strval(...), $input['targets']),
            'isMonthFirst' => $input['isMonthFirst'],
            'sign' => DecimalSign::from($input['decimalSign']),
            'existing' => OnExisting::from($input['existing']),
            'takesNewWords' => $input['takesNewWords'],
            'kind' => PartyKind::tryFrom($input['kind'] ?? ''),
            'roles' => array_values(array_unique($input['roles'])),
        ]);
    }
}
