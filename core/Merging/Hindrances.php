<?php

declare(strict_types=1);

namespace Almanac\Merging;

use Almanac\Finding\Fold;

/**
 * What stands in the way of several records becoming one. What is wrong in one of them is put right there first: nobody is
 * to find out afterwards which of two tax numbers, currencies or bank details was whose. Common practice, no published source.
 */
final class Hindrances
{
    /**
     * @param list<SideFacts> $sides
     *
     * @return list<Hindrance>
     */
    public static function of(array $sides): array
    {
        $found = [];
        foreach ($sides as $at => $one) {
            array_push($found, ...self::alone($one));
            foreach (array_slice($sides, 0, $at) as $other) {
                array_push($found, ...self::between($other, $one));
            }
        }

        return $found;
    }

    /** @return list<Hindrance> */
    private static function alone(SideFacts $one): array
    {
        return array_values(array_filter([
            $one->isArchived
                ? new Hindrance("$one->name is archived.", 'Say that it may come with what it has.', $one->id, isWaived: true)
                : null,
            $one->hasBankOnHold
                ? new Hindrance("Bank details of $one->name wait for a second person.", 'Have them confirmed or refused first.', $one->id)
                : null,
            $one->editedBy === [] ? null : new Hindrance(
                implode(' and ', $one->editedBy).(count($one->editedBy) === 1 ? ' is' : ' are')." changing $one->name at this moment.",
                'Ask them to save or to leave, then try again.',
                $one->id,
            ),
        ]));
    }

    /** @return list<Hindrance> */
    private static function between(SideFacts $one, SideFacts $other): array
    {
        if ($one->kind !== $other->kind) {
            return [new Hindrance(
                "$one->name and $other->name are a person and a company: they cannot be one.",
                'Where one works at the other, or owns it, give the person a position there.',
            )];
        }
        $found = [];
        foreach (self::different($one->taxNumbers, $other->taxNumbers) as $kind) {
            $found[] = new Hindrance(
                "$one->name and $other->name have different numbers: $kind.",
                'Find out which is right, and correct or remove the other on its record.',
                $other->id,
            );
        }
        foreach (self::different($one->codes, $other->codes) as $system) {
            $found[] = new Hindrance(
                "$one->name and $other->name are known by different numbers elsewhere: $system.",
                'Remove the one that no longer counts on its record, or make them one there first.',
                $other->id,
            );
        }
        $related = $one->related[$other->id] ?? $other->related[$one->id] ?? null;
        if ($related !== null) {
            $found[] = new Hindrance(
                "$one->name and $other->name are two by what you have written: $related.",
                'If that is wrong, remove the relation first.',
                $one->id,
            );
        }
        foreach ($one->currencies as $side => $currency) {
            $theirs = $other->currencies[$side] ?? $currency;
            if ($theirs !== $currency && (($one->hasOpen[$side] ?? false) || ($other->hasOpen[$side] ?? false))) {
                $found[] = new Hindrance(
                    "$one->name is kept in $currency and $other->name in $theirs, and money is open.",
                    'Settle what is open, or give both the same currency first.',
                    $other->id,
                );
            }
        }
        foreach (array_intersect($other->billed, $one->billed) as $number) {
            $found[] = new Hindrance(
                "$one->name and $other->name both have $number.",
                'If it was entered twice, void it on one of them; if not, correct its number.',
                $other->id,
            );
        }
        foreach (array_intersect($other->openings, $one->openings) as $opening) {
            $found[] = new Hindrance(
                "$one->name and $other->name both have an $opening.",
                'Void both, and write one over the sum.',
                $other->id,
            );
        }

        return $found;
    }

    /**
     * @param array<string, list<string>> $one
     * @param array<string, list<string>> $other
     *
     * @return list<string> of what both have some, and none alike
     */
    private static function different(array $one, array $other): array
    {
        $fold = fn (array $values) => array_map(Fold::text(...), $values);
        $theirs = [];
        foreach ($other as $what => $values) {
            $theirs[Fold::text($what)] = $fold($values);
        }

        return array_values(array_filter(array_keys($one), function (string $what) use ($one, $theirs, $fold): bool {
            $others = $theirs[Fold::text($what)] ?? [];

            return $one[$what] !== [] && $others !== [] && array_intersect($fold($one[$what]), $others) === [];
        }));
    }
}
