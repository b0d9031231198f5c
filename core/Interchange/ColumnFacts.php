<?php

declare(strict_types=1);

namespace Almanac\Interchange;

use Almanac\Money\DecimalSign;

/** What stands in one column of a file: enough to guess what it is, and to ask where it could be read in two ways. */
final class ColumnFacts
{
    private const SAMPLES = 3;

    private const SHOWN = 60;

    /** After so many cells the rest says nothing new of what it is; days and amounts are looked at to the end. */
    private const ENOUGH = 500;

    /** @param  list<string>  $samples */
    private function __construct(
        public readonly string $heading,
        public int $filled = 0,
        public int $emails = 0,
        public int $phones = 0,
        public int $sites = 0,
        public int $prefixes = 0,
        public int $dayFirst = 0,
        public int $monthFirst = 0,
        public int $either = 0,
        public int $points = 0,
        public int $commas = 0,
        public array $samples = [],
    ) {
    }

    public static function titled(string $heading): self
    {
        return new self($heading);
    }

    /**
     * The columns of a table, by its first line.
     *
     * @param list<string> $cells
     *
     * @return list<self>
     */
    public static function named(array $cells, bool $hasHeadings): array
    {
        return array_map(
            fn (string $cell, int $at) => new self($hasHeadings && $cell !== '' ? mb_strimwidth($cell, 0, 80, '…') : 'Column '.($at + 1)),
            $cells,
            array_keys($cells),
        );
    }

    /** @param  array<string, mixed>  $kept  what toArray() gave */
    public static function kept(array $kept): self
    {
        /** @var array{heading: string, filled: int, emails: int, phones: int, sites: int, prefixes: int, dayFirst: int, monthFirst: int, either: int, points: int, commas: int, samples: list<string>} $kept */
        return new self(...$kept);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return get_object_vars($this);
    }

    public function add(string $cell): void
    {
        if ($cell === '') {
            return;
        }
        $this->filled++;
        if ($this->filled <= self::ENOUGH) {
            $this->emails += (int) (preg_match('/^\S+@\S+\.\S+$/', $cell) === 1);
            $isDay = preg_match('/^(\d{4}-\d\d-\d\d|\d{1,2}[\/.\-]\d{1,2}[\/.\-]\d{2,4})$/', $cell) === 1;
            $this->phones += (int) (! $isDay && preg_match('/^\+?[\d\s().\-\/]{7,}(\s*(x|ext\.?)\s*\d+)?$/i', $cell) === 1);
            $this->sites += (int) (preg_match('/^(https?:\/\/|www\.)\S+$/i', $cell) === 1);
            $this->prefixes += (int) (preg_match('/^(mr|mrs|ms|miss|mx|dr|prof|rev|herr|frau)\.?$/i', $cell) === 1);
            if (count($this->samples) < self::SAMPLES && ! in_array($cell, $this->samples, true)) {
                $this->samples[] = mb_strimwidth(str_replace("\n", ' ', $cell), 0, self::SHOWN, '…');
            }
        }
        if (preg_match('/^(\d{1,2})[\/.\-](\d{1,2})[\/.\-]\d{2,4}$/', $cell, $part) === 1) {
            $this->dayFirst += (int) ($part[1] > 12);
            $this->monthFirst += (int) ($part[2] > 12);
            $this->either += (int) ($part[1] <= 12 && $part[2] <= 12 && $part[1] !== $part[2]);
        } elseif (preg_match('/^[^\d]{0,4}-?\d[\d.,\' ]*$/', $cell) === 1) {
            $this->points += (int) (preg_match('/,\d{3}\b.*\.|\.\d{1,2}$/', $cell) === 1);
            $this->commas += (int) (preg_match('/\.\d{3}\b.*,|,\d{1,2}$/', $cell) === 1);
        }
    }

    /** Whether most of what stands there is of a kind. */
    public function areMostly(int $count): bool
    {
        return $this->filled > 0 && $count >= 0.8 * min($this->filled, self::ENOUGH);
    }

    /**
     * Whether days are written month first.
     *
     * @param list<self> $columns that hold days
     *
     * @return bool|null null where nothing tells, and it has to be asked
     */
    public static function monthFirst(array $columns): ?bool
    {
        $day = array_sum(array_map(fn (self $one) => $one->dayFirst, $columns));
        $month = array_sum(array_map(fn (self $one) => $one->monthFirst, $columns));

        return $day === $month ? null : $month > $day;
    }

    /** @param  list<self>  $columns */
    public static function areAmbiguous(array $columns): bool
    {
        return self::monthFirst($columns) === null && array_sum(array_map(fn (self $one) => $one->either, $columns)) > 0;
    }

    /**
     * @param list<self> $columns that hold amounts
     *
     * @return DecimalSign|null null where nothing tells
     */
    public static function sign(array $columns): ?DecimalSign
    {
        $points = array_sum(array_map(fn (self $one) => $one->points, $columns));
        $commas = array_sum(array_map(fn (self $one) => $one->commas, $columns));

        return $points === $commas ? null : ($points > $commas ? DecimalSign::Point : DecimalSign::Comma);
    }
}
