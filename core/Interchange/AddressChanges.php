<?php

declare(strict_types=1);

namespace Almanac\Interchange;

use Almanac\Finding\Fold;

/**
 * What the addresses of a line change of those that a record has. One that says less than one that is there, or more, is that
 * one; with another street it is another, and takes its place whole: no street keeps the postcode of the house before. Where
 * the line says no street, the parts that it says are corrected.
 *
 * @phpstan-import-type Postal from PartyRow
 */
final class AddressChanges
{
    private const PARTS = ['country', 'lines', 'locality', 'region', 'postcode'];

    private const BESIDES = ['attention', 'careOf', 'uses'];

    /** @var array<int, Postal> as they will be, by the place of the one that is there */
    public array $moved = [];

    /** @var list<Postal> those that come beside them */
    public array $added = [];

    /** @var list<array{string, string}> from what to what, as they are told */
    public array $told = [];

    /**
     * @param list<Postal> $kept
     * @param list<Postal> $read
     */
    private function __construct(private readonly array $kept, array $read, private readonly bool $takes)
    {
        $taken = $others = [];
        foreach ($read as $address) {
            $place = $this->same($address, $taken);
            if ($place === null) {
                $others[] = $address;

                continue;
            }
            $taken[$place] = true;
            $this->complete($place, $address);
        }
        foreach ($others as $address) {
            $place = $this->instead($address, $taken);
            if ($place !== null && $this->takes) {
                $taken[$place] = true;
                $this->move($place, $address);
            } elseif ($kept === [] || ($place === null && ($this->takes || $address['uses'] !== []))) {
                $this->added[] = $address;
                $this->told[] = ['', self::text($address)];
            }
        }
    }

    /**
     * @param list<Postal> $kept
     * @param list<Postal> $read
     * @param bool $takes whether what is otherwise takes the place of what is there
     */
    public static function between(array $kept, array $read, bool $takes): self
    {
        return new self($kept, $read, $takes);
    }

    /**
     * @param Postal $address
     * @param array<int, true> $taken
     */
    private function same(array $address, array $taken): ?int
    {
        $free = array_diff_key($this->kept, $taken);
        $words = fn (array $one): array => Fold::words(implode(' ', array_map(fn (string $part) => $one[$part], self::PARTS)));
        $whole = $words($address);
        $agrees = fn (array $one): bool => array_filter(
            self::PARTS,
            fn (string $part) => $address[$part] !== '' && $one[$part] !== '' && Fold::words($address[$part]) !== Fold::words($one[$part]),
        ) === [];

        return array_key_first(array_filter($free, fn (array $one) => $words($one) === $whole))
            ?? array_key_first(array_filter($free, $agrees));
    }

    /**
     * For the same use, or where there is one only and nothing else is said.
     *
     * @param Postal $address
     * @param array<int, true> $taken
     */
    private function instead(array $address, array $taken): ?int
    {
        return array_key_first(array_filter(
            array_diff_key($this->kept, $taken),
            fn (array $one) => $address['uses'] === [] ? count($this->kept) === 1 : array_intersect($one['uses'], $address['uses']) !== [],
        ));
    }

    /** @param  Postal  $address */
    private function complete(int $place, array $address): void
    {
        $was = $this->kept[$place];
        $whole = Fold::words(self::text($was)) === Fold::words(self::text($address)) ? $was : array_replace($was, array_filter(
            array_intersect_key($address, array_flip(self::PARTS)),
            fn (string $value, string $part) => $was[$part] === '',
            ARRAY_FILTER_USE_BOTH,
        ));
        if ($whole !== $was) {
            $this->moved[$place] = $whole;
            $this->told[] = [self::text($was), self::text($whole)];
        }
    }

    /** @param  Postal  $address */
    private function move(int $place, array $address): void
    {
        $was = $this->kept[$place];
        // For whose attention, and what it is used for, stays where nothing is said of it.
        $stays = $address['lines'] === '' ? [...self::BESIDES, ...self::PARTS] : self::BESIDES;
        $empty = array_filter($address, fn (array|string $value, string $part) => in_array($value, ['', []], true) && in_array($part, $stays, true), ARRAY_FILTER_USE_BOTH);
        $this->moved[$place] = array_replace($address, array_intersect_key($was, $empty));
        $this->told[] = [self::text($was), self::text($this->moved[$place])];
    }

    /** @param  Postal  $one */
    private static function text(array $one): string
    {
        return str_replace("\n", ', ', implode(', ', array_filter([$one['lines'], $one['locality'], trim("$one[region] $one[postcode]")])));
    }
}
