<?php

declare(strict_types=1);

namespace Almanac\Merging;

use Almanac\Records\SectionName;

/**
 * What the state of a section is made of: single values, lines, and names of the office's lists, each by the key that its
 * fact has in the change log. So two states of a section can be put together part by part, and taken apart again.
 */
final readonly class SectionParts
{
    /** Where a single value stands in the state of a section; what is not named stands under its own key. */
    private const SINGLES = [
        'identity' => [
            'prefix' => ['prefix'], 'given' => ['given'], 'middle' => ['middle'], 'family' => ['family'], 'suffix' => ['suffix'],
            'preferred' => ['preferred'], 'pronouns' => ['pronouns'], 'postNominals' => ['postNominals'], 'birthDate' => ['birthDate'],
            'informal' => ['isInformal'], 'deceased' => ['isDeceased', 'deceasedOn'], 'name' => ['name'], 'legal' => ['legal'],
            'payee' => ['payee'], 'legalForm' => ['legalForm'], 'registrationNumber' => ['registrationNumber'],
            'industry' => ['industry'], 'client' => ['isClient'], 'vendor' => ['isVendor'],
        ],
        'classification' => [
            'owner' => ['ownerId'], 'accountManager' => ['accountManagerId'], 'buyer' => ['buyerId'], 'source' => ['source'],
            'language' => ['language'], 'grade' => ['grade'], 'noLetters' => ['noLettersOn', 'noLettersHow'],
        ],
        'client-terms' => ['terms' => ['listedId', 'shorthand']],
        'vendor-terms' => ['terms' => ['listedId', 'shorthand']],
        'tax-numbers' => [
            'form' => ['formOn', 'formBy', 'formFileId'], 'report' => ['reportChoice'], 'attorney' => ['isAttorney'],
        ],
    ];

    /** The list that lines stand in, and what their keys begin with. */
    private const LINES = [
        'reach' => ['contactPoints', 'contact:'],
        'addresses' => ['addresses', 'address:'],
        'positions' => ['positions', 'position:'],
        'relations' => ['relations', 'relation:'],
        'classification' => ['codes', 'code:'],
        'tax-numbers' => ['taxNumbers', 'tax:'],
    ];

    /** Lists of single values, each of which says by itself which it is: the list, what says it, and what their keys begin with. */
    private const NAMED = [
        'client-terms' => ['fields', 'name', ''],
        'vendor-terms' => ['fields', 'name', ''],
        'details' => ['values', 'fieldId', 'field:'],
    ];

    /** Names out of the office's lists. */
    private const MEMBERS = ['classification' => ['types', 'tags']];

    /** What says no more than nothing. */
    private const PLAIN = ['by-rule'];

    private function __construct(private SectionName $section)
    {
    }

    public static function of(SectionName $section): self
    {
        return new self($section);
    }

    /**
     * @param array<string, mixed> $state
     *
     * @return array<string, array<string, mixed>> what the state says of each single value, by its key
     */
    public function singles(array $state): array
    {
        $singles = [];
        foreach (self::SINGLES[$this->section->value] ?? [] as $key => $fields) {
            if (array_key_exists($fields[0], $state)) {
                $singles[$key] = array_intersect_key($state, array_flip($fields));
            }
        }
        [$list, $by, $prefix] = self::NAMED[$this->section->value] ?? ['', '', ''];
        /** @var list<array<string, mixed>> $named */
        $named = $state[$list] ?? [];
        foreach ($named as $one) {
            $singles[$prefix.self::text($one[$by])] = ['value' => $one['value']];
        }

        return $singles;
    }

    /**
     * @param array<string, mixed> $state
     *
     * @return array<string, array<string, mixed>> by key
     */
    public function lines(array $state): array
    {
        [$list, $prefix] = self::LINES[$this->section->value] ?? ['', ''];
        /** @var list<array<string, mixed>> $rows */
        $rows = $state[$list] ?? [];
        $lines = [];
        foreach ($rows as $row) {
            $lines[$prefix.self::text($row['id'])] = $row;
        }

        return $lines;
    }

    /**
     * @param array<string, mixed> $state
     *
     * @return array<string, list<string>> by key
     */
    public function members(array $state): array
    {
        /** @var array<string, list<string>> */
        return array_intersect_key($state, array_flip(self::MEMBERS[$this->section->value] ?? []));
    }

    /**
     * The state with other parts; what is not given is left as it is.
     *
     * @param array<string, mixed> $state
     * @param array<string, array<string, mixed>> $singles by key
     * @param array<string, array<string, mixed>>|null $lines all of them, in their order; null leaves them
     * @param array<string, list<string>> $members by key
     *
     * @return array<string, mixed>
     */
    public function with(array $state, array $singles, ?array $lines = null, array $members = []): array
    {
        [$list, $by, $prefix] = self::NAMED[$this->section->value] ?? ['', '', ''];
        foreach ($singles as $key => $values) {
            if (isset(self::SINGLES[$this->section->value][$key])) {
                $state = [...$state, ...$values];
            } elseif ($list !== '') {
                /** @var list<array<string, mixed>> $named */
                $named = $state[$list];
                $state[$list] = self::replaced($named, $by, substr($key, strlen($prefix)), $values['value']);
            }
        }
        if ($lines !== null && isset(self::LINES[$this->section->value])) {
            $state[self::LINES[$this->section->value][0]] = array_values($lines);
        }

        return [...$state, ...$members];
    }

    /**
     * Whether a single value says nothing.
     *
     * @param array<string, mixed> $values
     */
    public static function isEmpty(array $values): bool
    {
        return array_filter($values, fn (mixed $one) => ! in_array($one, [null, '', false, ...self::PLAIN], true)) === [];
    }

    /**
     * @param list<array<string, mixed>> $named
     *
     * @return list<array<string, mixed>> in the order of what says which it is
     */
    private static function replaced(array $named, string $by, string $which, mixed $value): array
    {
        foreach ($named as $at => $one) {
            if (self::text($one[$by]) === $which) {
                $named[$at]['value'] = $value;

                return $by === 'fieldId' && $value === '' ? array_values(array_diff_key($named, [$at => true])) : $named;
            }
        }
        if ($value !== '' && $value !== null) {
            $named[] = [$by => ctype_digit($which) ? (int) $which : $which, 'value' => $value];
            usort($named, fn (array $a, array $b) => $a[$by] <=> $b[$by]);
        }

        return $named;
    }

    private static function text(mixed $key): string
    {
        return is_scalar($key) ? (string) $key : '';
    }
}
