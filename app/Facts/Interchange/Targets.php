<?php

declare(strict_types=1);

namespace App\Facts\Interchange;

use Almanac\Addresses\AddressUse;
use Almanac\Interchange\AddressBook;
use Almanac\Interchange\PartyColumns;
use Almanac\Interchange\Target;

/** What a column of a file can be said to be in this office: every column that we know, under each label, and its own fields. */
final class Targets
{
    private const LABEL = 60;

    /** Where a second one is told by a number. */
    private const SECOND = ['company', 'job-title', 'department'];

    /** @return list<array{target: string, title: string, group: string}> */
    public static function all(): array
    {
        $all = [];
        foreach (PartyColumns::all() as $column) {
            $all[] = ['target' => $column->key, 'title' => $column->title, 'group' => $column->group];
            foreach (self::labels($column->key, $column->group) as $label => $title) {
                $all[] = ['target' => "$column->key:$label", 'title' => "$column->title, $title", 'group' => $column->group];
            }
        }
        foreach (OfficeReading::fieldNames() as $key => $name) {
            $all[] = ['target' => $key, 'title' => $name, 'group' => PartyColumns::DETAILS];
        }

        return $all;
    }

    /**
     * What is in the way of reading a file so; empty where nothing is.
     *
     * @param list<string> $targets
     */
    public static function problem(array $targets): string
    {
        $fields = OfficeReading::fieldNames();
        $once = [];
        foreach (array_filter($targets, fn (string $one) => $one !== '') as $text) {
            $target = Target::of($text);
            $column = PartyColumns::all()[$target->key ?? ''] ?? null;
            if (
                $target === null
                || ($column === null && ! isset($fields[$text]) && $text !== AddressBook::UNREADABLE)
                || mb_strlen($target->label) > self::LABEL
            ) {
                return 'One of the columns is said to be something that is no longer there. Choose again.';
            }
            if (
                $column?->isSeveral === false
                && ! in_array($target->key, ['note', 'tags', 'types'], true)
                && in_array($text, $once, true)
            ) {
                return "Two columns are said to be “{$column->title}”. Leave one of them out.";
            }
            $once[] = $text;
        }

        return array_intersect(['name', 'given', 'family', 'company', 'legal-name'], $once) === []
            ? 'Say which column has the names: without one nobody can be told from another.'
            : '';
    }

    /** @return array<int|string, string> titles by label */
    private static function labels(string $key, string $group): array
    {
        $uses = fn (): array => array_combine(
            array_map(fn (AddressUse $use) => $use->value, AddressUse::cases()),
            array_map(fn (AddressUse $use) => $use->title(), AddressUse::cases()),
        );

        return match (true) {
            $group === PartyColumns::ADDRESS && $key !== 'address-uses' => $uses() + ['2' => 'second address', '3' => 'third address'],
            in_array($key, ['phone', 'email'], true) => array_combine(OfficeReading::labels(), OfficeReading::labels()),
            in_array($key, self::SECOND, true) => ['2' => 'second'],
            default => [],
        };
    }
}
