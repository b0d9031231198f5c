<?php

declare(strict_types=1);

namespace Almanac\Interchange;

use Almanac\Records\PartyKind;

/** Writes records as rows of one table with everything that a table can hold of them: read in again, it changes nothing. */
final readonly class RowWriter
{
    private const ADDRESS = [
        'street' => 'lines', 'locality' => 'locality', 'region' => 'region', 'postcode' => 'postcode',
        'country' => 'country', 'attention' => 'attention', 'care-of' => 'careOf',
    ];

    private const HELD = ['company' => 'company', 'job-title' => 'title', 'department' => 'department'];

    private const ACCOUNT = [
        'iban' => 'iban', 'bic' => 'bic', 'routing' => 'routing', 'sort-code' => 'sortCode', 'bank-account' => 'account',
        'account-use' => 'use', 'account-holder' => 'holder', 'bank-name' => 'bankName',
    ];

    /** What is written as a number. */
    private const NUMBERS = ['number', 'grade', 'receivable', 'payable', 'client-limit', 'vendor-limit'];

    /** What only some may see. */
    private const PRIVATE = ['birth-date'];

    /**
     * @param array<string, int> $most how many of each there are at the most: phone, email, website, handle, profile, address, position, account
     * @param list<string> $systems of numbers elsewhere
     * @param array<string, string> $fields names of the office's own, by "detail:number"
     * @param list<string> $secret of these, those that only some may see
     * @param bool $withPrivate whether what only some may see is written as it is; else masked
     */
    public function __construct(
        private array $most,
        private array $systems,
        private array $fields,
        private array $secret,
        private bool $withPrivate,
    ) {
    }

    /** @return list<string> */
    public function headings(): array
    {
        return array_column($this->cells(new PartyRow(PartyKind::Person, [])), 0);
    }

    /** @return list<string|int|float> */
    public function row(PartyRow $row): array
    {
        return array_column($this->cells($row), 1);
    }

    /**
     * The same with all that it may have several of, as docs/record.schema.json says.
     *
     * @return array<string, mixed>
     */
    public function whole(PartyRow $row): array
    {
        $values = array_filter($row->values, fn (string $value) => $value !== '');
        foreach ([...self::PRIVATE, ...$this->secret] as $key) {
            $values = isset($values[$key]) ? [$key => $this->hidden($values[$key])] + $values : $values;
        }
        $details = [];
        foreach (array_intersect_key($this->fields, $values) as $key => $name) {
            $details[] = ['field' => $name, 'value' => $values[$key]];
        }

        return [
            'kind' => $row->kind->value,
            'values' => (object) array_filter($values, fn (string $key) => ! str_starts_with($key, 'detail:'), ARRAY_FILTER_USE_KEY),
            'details' => $details,
            'contactPoints' => $row->points,
            'addresses' => $row->addresses,
            'positions' => $row->positions,
            'types' => $row->types,
            'tags' => $row->tags,
            'codes' => $row->codes,
            'taxNumbers' => array_map(fn (array $one) => ['value' => $this->masked($one['value'])] + $one, $row->taxNumbers),
            'bankDetails' => array_map(
                fn (array $one) => ['iban' => $this->masked($one['iban']), 'account' => $this->masked($one['account'])] + $one,
                $row->accountsOfAKind(),
            ),
        ];
    }

    /** @return list<array{string, string|int|float}> heading and cell of each column */
    private function cells(PartyRow $row): array
    {
        $values = $row->values + [
            'kind' => $row->kind->value, 'types' => implode('; ', $row->types), 'tags' => implode('; ', $row->tags),
            'note' => '',
        ];
        $cells = [];
        foreach (PartyColumns::all() as $key => $column) {
            match (true) {
                in_array($key, ['phone', 'email', 'website', 'handle', 'profile'], true) => array_push($cells, ...$this->points($row, $column)),
                $key === 'street' => array_push(
                    $cells,
                    ...$this->several($row->addresses, self::ADDRESS, $this->most['address'] ?? 0),
                    ...$this->uses($row),
                ),
                $key === 'company' => array_push($cells, ...$this->several($row->positions, self::HELD, $this->most['position'] ?? 0)),
                $key === 'iban' => array_push(
                    $cells,
                    ...$this->several($row->accountsOfAKind(), self::ACCOUNT, $this->most['account'] ?? 0, ['iban', 'bank-account']),
                ),
                $key === 'code' => array_push(
                    $cells,
                    ...array_map(
                        fn (string $system) => ["$column->title, $system", self::ofSystem($row->codes, $system)],
                        $this->systems,
                    ),
                ),
                str_starts_with($key, 'tax-') => $cells[] = [$column->title, $this->masked(implode('; ', array_column(
                    array_filter($row->taxNumbers, fn (array $one) => 'tax-'.mb_strtolower($one['kind']) === $key),
                    'value',
                )))],
                // Of these there are several, or they say the same once more.
                $column->isSeveral, in_array($key, ['role', 'balance-on', 'note', ...PartyColumns::BANK], true) => null,
                $key === 'name' => $cells[] = [$column->title, $row->kind === PartyKind::Company ? $row->value('name') : ''],
                default => $cells[] = [$column->title, $this->plain($key, $values[$key] ?? '')],
            };
        }
        foreach ($this->fields as $key => $name) {
            $value = $row->value($key);
            $cells[] = [$name, in_array($key, $this->secret, true) ? $this->hidden($value) : $value];
        }

        return $cells;
    }

    private function plain(string $key, string $value): string|int|float
    {
        return match (true) {
            in_array($key, self::PRIVATE, true) => $this->hidden($value),
            $value !== '' && in_array($key, self::NUMBERS, true) && is_numeric($value) => str_contains($value, '.') ? (float) $value : (int) $value,
            default => $value,
        };
    }

    /** @return list<array{string, string}> */
    private function points(PartyRow $row, TargetColumn $column): array
    {
        $points = array_values(array_filter($row->points, fn (array $one) => $one['kind'] === $column->key));
        $label = PartyColumns::all()["$column->key-label"] ?? null;
        $cells = [];
        for ($at = 0; $at < ($this->most[$column->key] ?? 0); $at++) {
            $cells[] = [self::numbered($column->title, $at), $points[$at]['value'] ?? ''];
            if ($label !== null) {
                $cells[] = [self::numbered($label->title, $at), $points[$at]['label'] ?? ''];
            }
        }

        return $cells;
    }

    /**
     * @param list<array<string, mixed>> $of
     * @param array<string, string> $parts by column
     * @param list<string> $private
     *
     * @return list<array{string, string}>
     */
    private function several(array $of, array $parts, int $most, array $private = []): array
    {
        $cells = [];
        for ($at = 0; $at < $most; $at++) {
            foreach ($parts as $key => $part) {
                $value = $of[$at][$part] ?? '';
                $text = is_string($value) ? $value : '';
                $cells[] = [
                    self::numbered(PartyColumns::all()[$key]->title, $at),
                    in_array($key, $private, true) ? $this->masked($text) : $text,
                ];
            }
        }

        return $cells;
    }

    /** @return list<array{string, string}> */
    private function uses(PartyRow $row): array
    {
        $cells = [];
        for ($at = 0; $at < ($this->most['address'] ?? 0); $at++) {
            $cells[] = [self::numbered(PartyColumns::all()['address-uses']->title, $at), implode('; ', $row->addresses[$at]['uses'] ?? [])];
        }

        return $cells;
    }

    /** What would be told by its end as well. */
    private function hidden(string $value): string
    {
        return $value === '' || $this->withPrivate ? $value : '••••';
    }

    /** A long number is known again by its last four signs, and by no more. */
    private function masked(string $value): string
    {
        return $value === '' || $this->withPrivate ? $value : '•••• '.(mb_strlen($value) > 6 ? mb_substr($value, -4) : '');
    }

    private static function numbered(string $title, int $at): string
    {
        return $at === 0 ? $title : "$title, ".($at + 1);
    }

    /** @param  list<array{system: string, value: string}>  $codes */
    private static function ofSystem(array $codes, string $system): string
    {
        return implode('; ', array_column(array_filter($codes, fn (array $one) => $one['system'] === $system), 'value'));
    }
}
