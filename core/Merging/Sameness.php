<?php

declare(strict_types=1);

namespace Almanac\Merging;

use Almanac\Calendar\Day;
use Almanac\Finding\Fold;
use Almanac\LookAlikes\PlaceForm;
use Almanac\Records\Period;
use Almanac\Records\SectionName;

/**
 * Whether two lines of a section say the same: one number, one address in other dress, one position at one company at one
 * time; and what of the second is kept in the first.
 */
final class Sameness
{
    /** What is said once of a line, and taken from the second where the first says nothing. */
    private const FILLED = ['label', 'title', 'department', 'attention', 'careOf'];

    /** What is said several times of a line. */
    private const JOINED = ['uses', 'duties', 'firstFor'];

    /**
     * @param array<string, mixed> $one as the state of the section has it
     * @param array<string, mixed> $other
     */
    public static function of(SectionName $section, array $one, array $other): bool
    {
        return match ($section) {
            SectionName::Reach => $one['kind'] === $other['kind'] && self::reads($one) === self::reads($other),
            SectionName::Addresses => $one['addressId'] === $other['addressId'] || self::isSamePlace($one, $other),
            SectionName::Positions => $one['partyId'] === $other['partyId'] && self::overlap($one, $other),
            SectionName::Relations => $one['partyId'] === $other['partyId'] && $one['kind'] === $other['kind'] && self::overlap($one, $other),
            SectionName::Classification => self::folded($one, ['system', 'value']) === self::folded($other, ['system', 'value']),
            SectionName::TaxNumbers => self::folded($one, ['kind', 'country', 'value']) === self::folded($other, ['kind', 'country', 'value']),
            default => false,
        };
    }

    /**
     * The first, with what the second says besides.
     *
     * @param array<string, mixed> $one
     * @param array<string, mixed> $other
     *
     * @return array<string, mixed>
     */
    public static function joined(array $one, array $other): array
    {
        foreach (self::FILLED as $field) {
            if (($one[$field] ?? null) === '') {
                $one[$field] = $other[$field] ?? '';
            }
        }
        foreach (self::JOINED as $field) {
            if (isset($one[$field], $other[$field]) && is_array($one[$field]) && is_array($other[$field])) {
                $one[$field] = array_values(array_unique([...$one[$field], ...$other[$field]]));
            }
        }

        return $one;
    }

    /** @param  array<string, mixed>  $point */
    private static function reads(array $point): string
    {
        /** @var array{value: string, extension: string} $read */
        $read = $point['read'];

        return Fold::text($read['value']).' '.$read['extension'];
    }

    /**
     * @param array<string, mixed> $one
     * @param array<string, mixed> $other
     */
    private static function isSamePlace(array $one, array $other): bool
    {
        if ($one['country'] !== $other['country']) {
            return false;
        }
        [$a, $b] = array_map(
            fn (array $row) => PlaceForm::of(self::text($row, 'lines'), self::text($row, 'locality'), self::text($row, 'postcode')),
            [$one, $other],
        );

        return $a->isKnown() && $b->isKnown() && $a->isSameHouse($b) && $a->unit === $b->unit
            && $a->number === $b->number && $a->street === $b->street;
    }

    /**
     * @param array<string, mixed> $one
     * @param array<string, mixed> $other
     */
    private static function overlap(array $one, array $other): bool
    {
        return self::period($one)->overlaps(self::period($other));
    }

    /** @param  array<string, mixed>  $row */
    private static function period(array $row): Period
    {
        [$since, $until] = array_map(
            fn (string $end) => self::text($row, $end) === '' ? null : Day::fromIso(self::text($row, $end)),
            ['since', 'until'],
        );

        return Period::of($since, $until);
    }

    /**
     * @param array<string, mixed> $row
     * @param list<string> $fields
     */
    private static function folded(array $row, array $fields): string
    {
        return implode('|', array_map(fn (string $field) => Fold::text(self::text($row, $field)), $fields));
    }

    /** @param  array<string, mixed>  $row */
    private static function text(array $row, string $field): string
    {
        $value = $row[$field] ?? '';

        return is_scalar($value) ? (string) $value : '';
    }
}
