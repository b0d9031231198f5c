<?php

declare(strict_types=1);

namespace Almanac\Interchange;

/** The filled cells of a line, by what their columns were said to be. */
final readonly class TargetedLine
{
    /** @var array<string, list<array{int, Target, string}>> the same cells, by what they are */
    private array $of;

    /**
     * @param list<array{int, Target, string}> $cells the column, what it is, and what stands in it
     * @param array<string, int> $columns the first of each kind, filled or not
     */
    public function __construct(private array $cells, private array $columns)
    {
        $of = [];
        foreach ($cells as $cell) {
            $of[$cell[1]->key][] = $cell;
        }
        $this->of = $of;
    }

    /** @return list<array{int, Target, string}> */
    public function all(): array
    {
        return $this->cells;
    }

    /** @return list<array{int, Target, string}> */
    public function of(string $key): array
    {
        return $this->of[$key] ?? [];
    }

    /** @return array{int, string}|null the first */
    public function cell(string $key): ?array
    {
        $first = $this->of($key)[0] ?? null;

        return $first === null ? null : [$first[0], $first[2]];
    }

    public function text(string $key): string
    {
        return $this->cell($key)[1] ?? '';
    }

    /** The whole name, as it stands in one cell. */
    public function names(): string
    {
        return $this->text('name');
    }

    public function saysPerson(): bool
    {
        foreach ($this->cells as [, $target]) {
            if (PartyColumns::saysPerson($target->key)) {
                return true;
            }
        }

        return false;
    }

    /** Where to show what is missing: the first of these columns that is filled, else the first that there is. */
    public function column(string ...$keys): int
    {
        foreach ($keys as $key) {
            if (($cell = $this->cell($key)) !== null) {
                return $cell[0];
            }
        }

        foreach ($keys as $key) {
            if (isset($this->columns[$key])) {
                return $this->columns[$key];
            }
        }

        return 0;
    }

    /** @return list<array{int, string, Target}> the parts of cells in which several stand, with semicolons or on lines */
    public function several(string $key): array
    {
        $parts = [];
        foreach ($this->of($key) as [$column, $target, $text]) {
            foreach (preg_split('/[;\n]+/', $text) ?: [] as $part) {
                if (trim($part) !== '') {
                    $parts[] = [$column, trim($part), $target];
                }
            }
        }

        return $parts;
    }

    /**
     * What several columns say together: of one address, of one position.
     *
     * @param list<string> $keys
     *
     * @return array<string, array<string, list<array{int, string}>>> column and text of each part, by the label that they share
     */
    public function groups(array $keys): array
    {
        $groups = [];
        foreach ($this->cells as [$column, $target, $text]) {
            if (in_array($target->key, $keys, true)) {
                $groups[$target->label][$target->key][] = [$column, $text];
            }
        }

        return $groups;
    }

    /** @param  \Closure(int, string): (string|null)  $read */
    public function each(string $key, \Closure $read, string $between): string
    {
        return implode(
            $between,
            array_filter(
                array_map(fn (array $cell) => (string) $read($cell[0], $cell[2]), $this->of($key)),
                fn (string $text) => $text !== '',
            ),
        );
    }
}
