<?php

declare(strict_types=1);

namespace Almanac\Interchange;

use Almanac\Names\NameRefused;
use Almanac\Names\PersonName;
use Almanac\Records\PartyKind;

/**
 * A person or a company as one line of a table holds them: single values as plain text, and what a record may have several of.
 *
 * @phpstan-type Point array{kind: string, value: string, typed: string, label: string}
 * @phpstan-type Postal array{
 *     country: string, lines: string, locality: string, region: string, postcode: string, attention: string, careOf: string, uses: list<string>,
 * }
 * @phpstan-type Held array{company: string, title: string, department: string}
 * @phpstan-type Code array{system: string, value: string}
 * @phpstan-type TaxNumber array{kind: string, country: string, value: string}
 * @phpstan-type Account array{
 *     kind: string, iban: string, bic: string, routing: string, sortCode: string, account: string, use: string, holder: string, bankName: string,
 * }
 */
final readonly class PartyRow
{
    /**
     * @param array<string, string> $values single ones by the key of their column: days as 2026-01-31, amounts as 1250.50, yes or no
     * @param list<Point> $points a phone in E.164, with its extension after "x"
     * @param list<Postal> $addresses
     * @param list<Held> $positions of a person
     * @param list<string> $types
     * @param list<string> $tags
     * @param list<Code> $codes
     * @param list<TaxNumber> $taxNumbers
     * @param list<Account> $accounts those in force before those on hold
     */
    public function __construct(
        public PartyKind $kind,
        public array $values,
        public array $points = [],
        public array $addresses = [],
        public array $positions = [],
        public array $types = [],
        public array $tags = [],
        public array $codes = [],
        public array $taxNumbers = [],
        public array $accounts = [],
        public string $note = '',
    ) {
    }

    public function withoutPositions(): self
    {
        return new self(...['positions' => []] + get_object_vars($this));
    }

    /** @return list<Account> of each kind the one in force, else the one that is on hold */
    public function accountsOfAKind(): array
    {
        return array_values(array_column(array_reverse($this->accounts), null, 'kind'));
    }

    public function value(string $key): string
    {
        return $this->values[$key] ?? '';
    }

    /** @throws NameRefused when it is of a company */
    public function personName(): PersonName
    {
        return PersonName::of($this->value('given'), $this->value('family'), middle: $this->value('middle'), suffix: $this->value('suffix'));
    }

    /** As it would be shown in a list. */
    public function name(): string
    {
        return $this->kind === PartyKind::Company
            ? $this->value('name')
            : implode(' ', array_filter([$this->value('prefix'), $this->value('given'), $this->value('middle'), $this->value('family'), $this->value('suffix')], fn (string $part) => $part !== ''));
    }
}
