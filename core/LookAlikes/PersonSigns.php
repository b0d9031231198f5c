<?php

declare(strict_types=1);

namespace Almanac\LookAlikes;

use Almanac\Calendar\Day;

/** What the names and birth dates of two people show. */
final class PersonSigns
{
    /** @return list<Sign> */
    public static function of(Likeness $one, Likeness $other): array
    {
        $signs = self::isSwapped($one, $other)
            ? [Sign::GivenSame, Sign::FamilySame]
            : array_filter([self::given($one, $other), self::family($one, $other)]);

        return array_values(array_filter([
            ...$signs, self::middle($one, $other), self::suffix($one->suffix, $other->suffix),
            self::born($one->born, $other->born),
        ]));
    }

    /** Whether what is the given name of one is the family name of the other, and the other way round. */
    private static function isSwapped(Likeness $one, Likeness $other): bool
    {
        return $one->given !== [] && $other->given !== [] && $one->name !== [] && $other->name !== []
            && $one->given !== $other->given && $one->given !== $one->name
            && Spelled::alike(implode('', $one->given), implode('', $other->name))
            && Spelled::alike(implode('', $one->name), implode('', $other->given));
    }

    private static function given(Likeness $one, Likeness $other): ?Sign
    {
        if ($one->given === [] || $other->given === []) {
            return null;
        }
        [$a, $b] = [$one->given[0], $other->given[0]];
        if (mb_strlen($a) > 1 && mb_strlen($b) > 1) {
            return match (true) {
                $a === $b => Sign::GivenSame,
                Nicknames::areOne($a, $b), in_array($a, $other->called, true), in_array($b, $one->called, true) => Sign::GivenShort,
                self::isMiddle($a, $other), self::isMiddle($b, $one) => Sign::GivenMiddle,
                // Edith and Edwin of one family are no slip of each other: a slip leaves a long word nearly whole.
                Spelled::alike($a, $b) => Sign::GivenAlike,
                default => Sign::GivenDiffers,
            };
        }
        $isSame = mb_substr($a, 0, 1) === mb_substr($b, 0, 1);

        return match (true) {
            self::isMiddle($a, $other), self::isMiddle($b, $one) => Sign::GivenMiddle,
            $isSame => Sign::GivenInitial,
            default => Sign::GivenDiffers,
        };
    }

    /** Whether a given name is what somebody else has as the middle name: they are called by it. */
    private static function isMiddle(string $given, Likeness $other): bool
    {
        foreach (mb_strlen($given) > 1 ? [...$other->middle, ...array_slice($other->given, 1)] : [] as $middle) {
            if (mb_strlen($middle) > 1 && Nicknames::areOne($given, $middle)) {
                return true;
            }
        }

        return false;
    }

    private static function family(Likeness $one, Likeness $other): ?Sign
    {
        if ($one->name === [] || $other->name === []) {
            return null;
        }
        [$a, $b] = [implode('', $one->name), implode('', $other->name)];
        $formerly = fn (Likeness $of, string $name) => array_filter($of->also, fn (array $words) => implode('', $words) === $name) !== [];

        return match (true) {
            $a === $b => Sign::FamilySame,
            $formerly($one, $b), $formerly($other, $a) => Sign::FamilyFormer,
            Spelled::alike($a, $b) => Sign::FamilyAlike,
            self::isPart($one->name, $other->name), self::isPart($other->name, $one->name) => Sign::FamilyPart,
            // Kept as the middle name after a wedding.
            self::isKept($one->middle, $other->name), self::isKept($other->middle, $one->name) => Sign::FamilyPart,
            default => Sign::FamilyDiffers,
        };
    }

    /**
     * @param list<string> $some
     * @param list<string> $all
     */
    private static function isPart(array $some, array $all): bool
    {
        return count($some) < count($all)
            && array_filter($some, fn (string $word) => strlen($word) > 3 && in_array($word, $all, true)) !== [];
    }

    /**
     * @param list<string> $middle
     * @param list<string> $family
     */
    private static function isKept(array $middle, array $family): bool
    {
        return array_filter($middle, fn (string $word) => strlen($word) > 3 && $word === implode('', $family)) !== [];
    }

    private static function middle(Likeness $one, Likeness $other): ?Sign
    {
        [$a, $b] = [$one->middle[0] ?? '', $other->middle[0] ?? ''];
        if ($a === '' || $b === '') {
            return null;
        }

        return $a === $b
            || ((mb_strlen($a) === 1 || mb_strlen($b) === 1 || Spelled::alike($a, $b)) && mb_substr($a, 0, 1) === mb_substr($b, 0, 1))
            ? Sign::MiddleSame
            : Sign::MiddleDiffers;
    }

    private static function suffix(string $a, string $b): ?Sign
    {
        return match (true) {
            $a === '' && $b === '' => null,
            $a === '' || $b === '' => Sign::SuffixOfOne,
            // A second of the name without a father of it is nearly always called Jr. as well.
            $a === $b, [min($a, $b), max($a, $b)] === ['ii', 'jr'] => Sign::SuffixSame,
            default => Sign::SuffixDiffers,
        };
    }

    private static function born(?Day $a, ?Day $b): ?Sign
    {
        if ($a === null || $b === null) {
            return null;
        }
        [$one, $other] = [$a->toIso(), $b->toIso()];
        if ($one === $other) {
            return Sign::BornSame;
        }
        // One figure off, or day and month the wrong way round.
        $figures = count(array_filter(str_split($one ^ $other), fn (string $byte) => $byte !== "\0"));
        $swapped = substr($one, 0, 5).substr($one, 8, 2).'-'.substr($one, 5, 2);

        return $figures === 1 || $swapped === $other ? Sign::BornSlip : Sign::BornDiffers;
    }
}
