<?php

declare(strict_types=1);

namespace Almanac\Access;

/**
 * Codes on paper, for when the phone with the authenticator app is lost; each lets its owner in once.
 *
 * Source: NIST SP 800-63B, 5.1.2 (look-up secrets): at least 20 bits of randomness and limited attempts; these have 49.
 */
final class RecoveryCodes
{
    public const COUNT = 10;

    /** Without letters and digits that are read as others: 31 signs, almost 5 bits each. */
    private const SIGNS = 'abcdefghjkmnpqrstuvwxyz23456789';

    private const HALF = 5;

    /** @return list<string> such as "k7mwp-3hqzt" */
    public static function make(): array
    {
        $codes = [];
        while (count($codes) < self::COUNT) {
            $code = self::half().'-'.self::half();
            $codes[$code] = $code;
        }

        return array_values($codes);
    }

    /** What is kept of a code, however it was typed: with capitals, with spaces, without the hyphen. */
    public static function hash(#[\SensitiveParameter] string $typed): string
    {
        return hash('sha256', (string) preg_replace('/[\s-]+/', '', strtolower($typed)));
    }

    private static function half(): string
    {
        return implode('', array_map(fn () => self::SIGNS[random_int(0, strlen(self::SIGNS) - 1)], range(1, self::HALF)));
    }
}
