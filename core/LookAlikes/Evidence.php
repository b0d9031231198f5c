<?php

declare(strict_types=1);

namespace Almanac\LookAlikes;

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
        $name = $one->kind === PartyKind::Person ? PersonSigns::of($one, $other) : CompanySigns::of($one, $other);

        return new self([...$name, ...self::ofReach($one, $other), ...self::ofPlaces($one->ownPlaces(), $other->ownPlaces()), ...array_filter([
            self::ofKinds($one->numbers, $other->numbers, Sign::TaxSame, Sign::TaxDiffers),
            self::ofKinds($one->codes, $other->codes, Sign::NumberSame, Sign::NumberDiffers),
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
    private static function ofReach(Likeness $one, Likeness $other): array
    {
        $phone = self::agree($one->ownPhones(), $other->ownPhones(), Sign::PhoneSame, Sign::PhoneDiffers);
        $email = self::agree($one->ownEmails(), $other->ownEmails(), Sign::EmailSame, Sign::EmailDiffers);
        if ($email === Sign::EmailDiffers) {
            $locals = fn (Likeness $of) => array_filter(array_map(EmailForm::ownLocal(...), $of->ownEmails()));
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
