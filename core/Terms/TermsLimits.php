<?php

declare(strict_types=1);

namespace Almanac\Terms;

/** The ranges that the numbers in payment terms must keep. */
final class TermsLimits
{
    public const MAX_DAYS = 3650;

    public const MAX_MONTHS = 120;

    /** @throws TermsRefused */
    public static function days(int $days): int
    {
        return match (true) {
            $days < 0 => throw TermsRefused::negativeDays($days),
            $days > self::MAX_DAYS => throw TermsRefused::tooLong(self::MAX_DAYS, 'days'),
            default => $days,
        };
    }

    /** @throws TermsRefused */
    public static function months(int $months, int $least): int
    {
        return match (true) {
            $months < $least => throw TermsRefused::tooFewMonths($least),
            $months > self::MAX_MONTHS => throw TermsRefused::tooLong(self::MAX_MONTHS, 'months'),
            default => $months,
        };
    }

    /** @throws TermsRefused */
    public static function dayOfMonth(int $day): int
    {
        return $day >= 1 && $day <= 31 ? $day : throw TermsRefused::noSuchDayOfMonth($day);
    }
}
