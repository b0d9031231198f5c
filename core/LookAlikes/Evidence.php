<?php

declare(strict_types=1);

namespace Almanac\LookAlikes;

use Almanac\Calendar\Day;
use Almanac\Records\PartyKind;

/** What speaks for and against that two records are one. */
final readonly class Evidence
{
    /** @param  list<Sign>  $signs */
    private function __construct(public array $signs)
    {
    }

    /** Of a person and a company there is none: they are never the same. */
    public static function between(Likeness $one, Likeness $other): ?self
    {
        if ($one->kind !== $other->kind) {
            return null;
        }
        $isPerson = $one->kind === PartyKind::Person;
        $name = $isPerson ? self::ofPersons($one, $other) : self::ofCompanies($one, $other);

        return new self([...$name, ...self::ofReach($one, $other), ...self::ofPlaces($one->places, $other->places), ...array_filter([
            self::ofTax($one->numbers, $other->numbers),
            self::ofCodes($one->codes, $other->codes),
            self::agree($one->websites, $other->websites, Sign::WebsiteSame, Sign::WebsiteDiffers),
            self::agree($one->employers, $other->employers, Sign::EmployerSame, Sign::EmployerDiffers),
        ])]);
    }

    public function has(Sign ...$signs): bool
    {
        foreach ($signs as $sign) {
            if (in_array($sign, $this->signs, true)) {
                return true;
            }
        }

        return false;
    }

    /** The same for all that show the same. */
    public function pattern(): string
    {
        return implode(' ', array_map(fn (Sign $sign) => $sign->value, $this->signs));
    }

    /** @return list<Sign> */
    private static function ofPersons(Likeness $one, Likeness $other): array
    {
        $signs = self::isSwapped($one, $other)
            ? [Sign::GivenSame, Sign::FamilySame]
            : array_filter([self::given($one, $other), self::family($one, $other)]);

        return array_values(array_filter([...$signs, self::middle($one, $other), self::suffix($one->suffix, $other->suffix), self::born($one->born, $other->born)]));
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
        return count($some) < count($all) && array_filter($some, fn (string $word) => strlen($word) > 3 && in_array($word, $all, true)) !== [];
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

        return $a === $b || ((mb_strlen($a) === 1 || mb_strlen($b) === 1 || Spelled::alike($a, $b)) && mb_substr($a, 0, 1) === mb_substr($b, 0, 1))
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

    /** @return list<Sign> */
    private static function ofCompanies(Likeness $one, Likeness $other): array
    {
        $best = Sign::NameDiffers;
        foreach ([$one->name, ...$one->also] as $a) {
            foreach ([$other->name, ...$other->also] as $b) {
                $sign = self::names($a, $b);
                $best = array_search($sign, Sign::of('name'), true) < array_search($best, Sign::of('name'), true) ? $sign : $best;
            }
        }

        return [$best, ...match (true) {
            $one->branch === $other->branch => [],
            $one->branch === [] || $other->branch === [] => [Sign::BranchOfOne],
            default => [Sign::BranchDiffers],
        }];
    }

    /**
     * @param list<string> $a
     * @param list<string> $b
     */
    private static function names(array $a, array $b): Sign
    {
        if (implode('', $a) === implode('', $b)) {
            return Sign::NameSame;
        }
        [$short, $long] = count($a) <= count($b) ? [$a, $b] : [$b, $a];
        if (self::areInitials($a, $b) || self::areInitials($b, $a)) {
            return Sign::NameInitials;
        }
        $left = $long;
        $found = $first = 0;
        foreach ($short as $at => $word) {
            foreach ($left as $n => $other) {
                // Local 12 and Local 15 are two.
                if ($word === $other || (! is_numeric($word) && ! is_numeric($other) && Spelled::alike($word, $other))) {
                    unset($left[$n]);
                    $found++;
                    $first += $at === 0 && $n === 0 ? 1 : 0;
                    break;
                }
            }
        }
        $isNumber = array_filter($left, is_numeric(...)) !== [];

        return match (true) {
            $found === count($short) && $left === [] => Sign::NameAlike,
            $found === count($short) && ! $isNumber && ($first === 1 || $found > 1) => Sign::NameShorter,
            implode('', $short) !== '' && Spelled::alike(implode('', $a), implode('', $b)) => Sign::NameAlike,
            $found > 0 => Sign::NamePart,
            default => Sign::NameDiffers,
        };
    }

    /**
     * @param list<string> $some
     * @param list<string> $of
     */
    private static function areInitials(array $some, array $of): bool
    {
        $joined = implode('', $some);

        return count($of) > 1 && mb_strlen($joined) <= 4 && mb_strlen(implode('', $of)) > 4 && $joined === Likeness::initials($of);
    }

    /** @return list<Sign> */
    private static function ofReach(Likeness $one, Likeness $other): array
    {
        $phone = self::agree($one->ownPhones(), $other->ownPhones(), Sign::PhoneSame, Sign::PhoneDiffers);
        $email = self::agree($one->ownEmails(), $other->ownEmails(), Sign::EmailSame, Sign::EmailDiffers);
        if ($email === Sign::EmailDiffers) {
            $locals = fn (Likeness $of) => array_filter(array_map(Likeness::ownLocal(...), $of->ownEmails()));
            $shared = array_intersect($locals($one), $locals($other));
            // Whoever has the name has such an address somewhere: it says no more than the name.
            $email = match (true) {
                $shared === [] => $email,
                array_filter($shared, fn (string $local) => ! self::isMadeOfName($local, $one) && ! self::isMadeOfName($local, $other)) === [] => null,
                default => Sign::EmailElsewhere,
            };
        }

        return array_values(array_filter([$phone, $email]));
    }

    private static function isMadeOfName(string $local, Likeness $of): bool
    {
        foreach ([...$of->given, ...$of->name] as $word) {
            if (strlen($word) > 3 && str_contains($local, $word)) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param list<PlaceForm> $some
     * @param list<PlaceForm> $others
     *
     * @return list<Sign>
     */
    private static function ofPlaces(array $some, array $others): array
    {
        if ($some === [] || $others === []) {
            return [];
        }
        $best = 3;
        foreach ($some as $one) {
            foreach ($others as $other) {
                $best = min($best, match (true) {
                    $one->isSameHouse($other) => $one->isOtherUnit($other) ? 1 : 0,
                    $one->isSameTown($other) => 2,
                    default => 3,
                });
            }
        }

        return [[Sign::PlaceSame, Sign::PlaceOtherUnit, Sign::PlaceTown, Sign::PlaceDiffers][$best]];
    }

    /**
     * Only numbers of one kind can differ: an EIN and a VAT number say nothing of each other.
     *
     * @param list<string> $a
     * @param list<string> $b
     */
    private static function ofTax(array $a, array $b): ?Sign
    {
        return self::ofKinds($a, $b, Sign::TaxSame, Sign::TaxDiffers);
    }

    /**
     * @param list<string> $a
     * @param list<string> $b
     */
    private static function ofCodes(array $a, array $b): ?Sign
    {
        return self::ofKinds($a, $b, Sign::NumberSame, Sign::NumberDiffers);
    }

    /**
     * @param list<string> $a
     * @param list<string> $b
     */
    private static function ofKinds(array $a, array $b, Sign $same, Sign $differs): ?Sign
    {
        if ($a === [] || $b === []) {
            return null;
        }
        $kinds = fn (array $numbers) => array_map(fn (string $number) => explode('|', $number)[0], $numbers);

        return match (true) {
            array_intersect($a, $b) !== [] => $same,
            array_intersect($kinds($a), $kinds($b)) !== [] => $differs,
            default => null,
        };
    }

    /**
     * @param list<int|string> $a
     * @param list<int|string> $b
     */
    private static function agree(array $a, array $b, Sign $same, Sign $differs): ?Sign
    {
        return match (true) {
            $a === [] || $b === [] => null,
            array_intersect($a, $b) !== [] => $same,
            default => $differs,
        };
    }
}
