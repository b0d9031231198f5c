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

/** How a file is read: what its columns are, how it writes days and amounts, what it does to whom the book has. */
final readonly class ImportSettings implements Castable
{
    /** Columns that hold days, and amounts: the own fields of the office are read as the others are. */
    public const DAYS = '/^(birth-date|deceased|form-on|balance-on|detail:|date$|due$)/';

    public const AMOUNTS = '/^(receivable|payable|client-limit|vendor-limit|detail:|amount$|quantity$)/';

    /**
     * @param list<string> $sheets
     * @param list<ColumnFacts> $columns
     * @param list<string> $targets what each column is; empty where it is left out
     * @param PartyKind|null $kind of lines that do not say; null where each is told by its name
     * @param array<string, list<int>> $meant of documents: whom somebody said that a name means, by folded name
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
        public array $meant = [],
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
        return array_values(array_filter(
            $this->columns,
            fn (int $at) => preg_match($pattern, $this->targets[$at] ?? '') === 1,
            ARRAY_FILTER_USE_KEY,
        ));
    }

    /** Days and amounts are read as the columns that hold them tell; else as before. */
    public function asTold(): self
    {
        return $this->with([
            'isMonthFirst' => ColumnFacts::monthFirst($this->holding(self::DAYS)) ?? $this->isMonthFirst,
            'sign' => ColumnFacts::sign($this->holding(self::AMOUNTS)) ?? $this->sign,
        ]);
    }

    /** @param  string  $of  what is in it: the same headings may name people, or documents */
    public function headings(string $of): string
    {
        return hash(
            'sha256',
            ($of === Import::RECORDS ? '' : "$of\n").implode(
                "\n",
                array_map(fn (ColumnFacts $one) => mb_strtolower(trim($one->heading)), $this->columns),
            ),
        );
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
