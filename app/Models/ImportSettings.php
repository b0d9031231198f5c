<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Interchange\ColumnFacts;
use Almanac\Interchange\FileKind;
use Almanac\Interchange\OnExisting;
use Almanac\Interchange\Target;
use Almanac\Money\DecimalSign;
use Almanac\Records\PartyKind;
use Illuminate\Contracts\Database\Eloquent\Castable;
use Illuminate\Contracts\Database\Eloquent\CastsAttributes;

/** How a file of people and companies is read: what its columns are, how it writes days and amounts, what it does to whom the book has. */
final readonly class ImportSettings implements Castable
{
    /** Columns that hold days, and amounts: the own fields of the office are read as the others are. */
    public const DAYS = '/^(birth-date|deceased|form-on|balance-on|detail:)/';

    public const AMOUNTS = '/^(receivable|payable|client-limit|vendor-limit|detail:)/';

    /**
     * @param list<string> $sheets
     * @param list<ColumnFacts> $columns
     * @param list<string> $targets what each column is; empty where it is left out
     * @param PartyKind|null $kind of lines that do not say; null where each is told by its name
     * @param list<string> $roles client, vendor: what all of them are besides what the lines say
     */
    public function __construct(
        public FileKind $format = FileKind::Csv,
        public array $sheets = [],
        public string $sheet = '',
        public bool $hasHeadings = true,
        public array $columns = [],
        public array $targets = [],
        public bool $isMonthFirst = false,
        public DecimalSign $sign = DecimalSign::Point,
        public OnExisting $existing = OnExisting::Fill,
        public bool $takesNewWords = false,
        public ?PartyKind $kind = null,
        public array $roles = [],
    ) {
    }

    /** @return list<Target|null> */
    public function read(): array
    {
        return array_map(Target::of(...), $this->targets);
    }

    /**
     * The columns that were said to hold days, or amounts.
     *
     * @return list<ColumnFacts>
     */
    public function holding(string $pattern): array
    {
        return array_values(array_filter($this->columns, fn (int $at) => preg_match($pattern, $this->targets[$at] ?? '') === 1, ARRAY_FILTER_USE_KEY));
    }

    public function headings(): string
    {
        return hash('sha256', implode("\n", array_map(fn (ColumnFacts $one) => mb_strtolower(trim($one->heading)), $this->columns)));
    }

    /** @param  array<string, mixed>  $changes */
    public function with(array $changes): self
    {
        return new self(...$changes + get_object_vars($this));
    }

    /**
     * @param array<string> $arguments
     *
     * @return ImportSettingsCast
     */
    public static function castUsing(array $arguments): CastsAttributes
    {
        return new ImportSettingsCast;
    }
}
