<?php

declare(strict_types=1);

namespace Almanac\LookAlikes;

/** Whether two folded words may be one word with a slip in it: a letter wrong, missing, too many, or two that changed places. */
final class Spelled
{
    private const SHORTEST = 4;

    private const LONG = 8;

    public static function alike(string $one, string $other): bool
    {
        if ($one === $other) {
            return true;
        }
        [$short, $long] = strlen($one) <= strlen($other) ? [$one, $other] : [$other, $one];
        if (strlen($short) < self::SHORTEST || strlen($long) - strlen($short) > 2) {
            return false;
        }
        $apart = levenshtein($one, $other);

        return $apart <= 1

                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                                            || ($apart === 2 && (strlen($short) >= self::LONG || (count_chars($one, 1) === count_chars($other, 1) && self::isSwapped($one, $other))))
            || ($one[0] === $other[0] && self::soundAlike($one, $other) && $apart <= 3);
    }

    public static function soundAlike(string $one, string $other): bool
    {
        return strlen($one) >= self::SHORTEST && strlen($other) >= self::SHORTEST && NameForm::sound($one) === NameForm::sound($other);
    }

    /** Whether only two neighbours have changed places. */
    private static function isSwapped(string $one, string $other): bool
    {
        $at = strspn($one ^ $other, "\0");

        return $at + 1 < strlen($one) && $one[$at] === $other[$at + 1] && $one[$at + 1] === $other[$at]
            && substr($one, $at + 2) === substr($other, $at + 2);
    }
}
