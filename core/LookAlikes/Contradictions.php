<?php

declare(strict_types=1);

namespace Almanac\LookAlikes;

/**
 * What two records can be to each other at most, whatever they share: members of one household agree in all but the given
 * name, father and son in all but the suffix, branches in all but the place. Common practice, no published source.
 */
final class Contradictions
{
    public static function allow(Evidence $evidence): Verdict
    {
        return self::areOne($evidence) ? Verdict::Same : (self::areTwo($evidence) ? Verdict::Different : Verdict::Perhaps);
    }

    /** Whether they cannot be one, and are not to be asked about. */
    public static function areTwo(Evidence $evidence): bool
    {
        $isNumbered = $evidence->has(Sign::TaxSame);

        return match (true) {
            $evidence->has(Sign::BranchDiffers, Sign::TaxDiffers) => true,
            $evidence->has(Sign::BranchOfOne) => ! $evidence->has(Sign::PhoneSame, Sign::PlaceSame),
            $isNumbered => false,
            $evidence->has(Sign::GivenDiffers) => ! $evidence->has(Sign::NumberSame)
                // One who is called Buddy; but spouses share an address for mail, too.
                && ! ($evidence->has(Sign::EmailSame) && $evidence->has(Sign::FamilySame, Sign::FamilyAlike)),
            $evidence->has(Sign::SuffixDiffers) => ! $evidence->has(Sign::BornSame),
            $evidence->has(Sign::BornDiffers) => true,
            $evidence->has(Sign::MiddleDiffers) => ! $evidence->has(Sign::BornSame, Sign::EmailSame, Sign::NumberSame),
            $evidence->has(Sign::NameDiffers) => ! $evidence->has(Sign::NumberSame)
                && ! ($evidence->has(Sign::WebsiteSame, Sign::EmailSame) && $evidence->has(Sign::PhoneSame, Sign::PlaceSame)),
            default => false,
        };
    }

    /** Whether nothing stands against taking them for one, when they weigh enough. */
    private static function areOne(Evidence $evidence): bool
    {
        if (self::areTwo($evidence) || $evidence->has(
            Sign::GivenDiffers,
            Sign::NameDiffers,
            Sign::NamePart,
            Sign::BranchOfOne,
            Sign::MiddleDiffers,
            Sign::SuffixDiffers,
            Sign::BornDiffers,
        )) {
            return false;
        }
        // A company of the name that is elsewhere is a branch as likely as one that has moved.
        if ($evidence->has(Sign::NameSame, Sign::NameAlike, Sign::NameShorter, Sign::NameInitials)) {
            $theirs = count(array_filter(
                [Sign::EmailSame, Sign::TaxSame, Sign::NumberSame, Sign::WebsiteSame],
                fn (Sign $sign) => $evidence->has($sign),
            ));
            if ($evidence->has(Sign::PhoneSame, Sign::PlaceSame)) {
                return $theirs > 0 || ! $evidence->has(Sign::NameShorter, Sign::NameInitials);
            }

            // Branches share the website and the number of the state.
            return ($theirs > 1 || $evidence->has(Sign::EmailSame))
                && ! $evidence->has(Sign::EmailDiffers, Sign::PhoneDiffers, Sign::PlaceTown, Sign::PlaceDiffers);
        }
        $isTheirs = $evidence->has(Sign::TaxSame, Sign::BornSame, Sign::EmailSame, Sign::NumberSame);
        if (! $isTheirs && ! $evidence->has(Sign::PhoneSame, Sign::EmployerSame)) {
            // Father and son of one name live at one address; with nothing else of either known, it is one entered twice.
            return $evidence->has(Sign::PlaceSame)
                && ! $evidence->has(Sign::EmailDiffers, Sign::SuffixOfOne, Sign::GivenInitial, Sign::GivenMiddle)
                && ! ($evidence->has(Sign::PhoneDiffers) && $evidence->has(Sign::GivenShort, Sign::GivenAlike));
        }

        return match (true) {
            $evidence->has(Sign::SuffixOfOne, Sign::GivenMiddle) => $isTheirs,
            $evidence->has(Sign::GivenInitial) => $isTheirs || $evidence->has(Sign::MiddleSame),
            $evidence->has(Sign::FamilyDiffers) => $isTheirs && $evidence->has(Sign::PhoneSame, Sign::PlaceSame),
            default => true,
        };
    }
}
