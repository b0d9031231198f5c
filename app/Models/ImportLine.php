<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Interchange\LineDone;
use Almanac\Interchange\LineOutcome;
use Almanac\Interchange\OnExisting;
use Illuminate\Support\Facades\Crypt;

/**
 * A line of a file of people and companies, or of documents.
 *
 * @property int $import_id
 * @property int $line in the file
 * @property string $cells encrypted; see cells()
 * @property int $head the line on which the document begins that it belongs to; a record is a line of its own
 * @property string|null $fingerprint of what stood on it in the file; null for documents, which are told apart by mark
 * @property string|null $mark by which a document of the file is the same as another
 * @property int $turn 0 for those that are taken first
 * @property LineOutcome $outcome
 * @property int|null $record_id whom it changes, or whose the document is; once it is taken, whom it made
 * @property list<array{id: int, isSure: bool}> $candidates whom it may be
 * @property list<array{int, string}> $problems the column, from nought, and what to do
 * @property string|null $decision what somebody said of it: one of DECISIONS
 * @property OnExisting|null $existing what somebody said of it, where it is otherwise than for the file
 * @property LineDone|null $done
 * @property string $message why not
 * @property array{states?: list<int>, made?: list<int>, after?: int, document?: int}|null $way_back
 */
final class ImportLine extends Model
{
    protected $table = 'import_lines';

    public const NEW = 'new';

    public const RECORD = 'record';

    public const OUT = 'out';

    public $timestamps = false;

    public $incrementing = false;

    protected $attributes = ['candidates' => '[]', 'problems' => '[]', 'message' => ''];

    protected function casts(): array
    {
        return [
            'outcome' => LineOutcome::class, 'existing' => OnExisting::class, 'done' => LineDone::class,
            'candidates' => 'array', 'problems' => 'array', 'way_back' => 'array',
        ];
    }

    /** @return list<string> */
    public function cells(): array
    {
        return self::read($this->cells);
    }

    /**
     * @param string $kept as kept() gave them
     *
     * @return list<string>
     */
    public static function read(string $kept): array
    {
        /** @var list<string> */
        return json_decode(Crypt::decryptString($kept), true, flags: JSON_THROW_ON_ERROR);
    }

    /** @param  list<string>  $cells */
    public static function kept(array $cells): string
    {
        return Crypt::encryptString(json_encode($cells, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE));
    }
}
