<?php

declare(strict_types=1);

namespace Almanac\Access;

/**
 * What a password must be.
 *
 * Source: NIST SP 800-63B, section 5.1.1.2: a length and no rules of composition; not the user's own
 * name, not a repetition or a sequence, not one of a list of common ones. The least length of 12 is
 * ours. The most of 72 bytes is what bcrypt looks at: what is longer is refused and never cut.
 */
final class Password
{
    public const LEAST = 12;

    public const MOST_BYTES = 72;

    /** Fewer different signs than this are a repetition. */
    private const LEAST_DIFFERENT = 5;

    private const LEAST_OWN = 4;

    /** Letters of a name that count as one of theirs, and letters of something else that must be there besides. */
    private const LEAST_PART = 3;

    private const LEAST_LEFT = 5;

    /**
     * @param list<string> $own the user's email and name
     *
     * @throws PasswordRefused
     */
    public static function mustBeGood(#[\SensitiveParameter] string $password, array $own): void
    {
        if (mb_strlen($password) < self::LEAST) {
            throw PasswordRefused::tooShort(self::LEAST);
        }
        if (strlen($password) > self::MOST_BYTES) {
            throw PasswordRefused::tooLong(self::MOST_BYTES);
        }
        $plain = mb_strtolower($password);
        $core = self::core($plain);
        if (self::isMadeOf($plain, $own)) {
            throw PasswordRefused::yours();
        }
        foreach ($own as $value) {
            foreach ([$value, strstr($value, '@', true) ?: $value] as $part) {
                if (
                    mb_strlen($part) >= self::LEAST_OWN &&
                    ($plain === mb_strtolower($part) || $core === self::core(mb_strtolower($part)))
                ) {
                    throw PasswordRefused::yours();
                }
            }
        }
        if (
            count(array_unique(mb_str_split($plain))) < self::LEAST_DIFFERENT ||
            self::isSequence($plain) ||
            self::isCommon($plain) ||
            self::isCommon($core)
        ) {
            throw PasswordRefused::common();
        }
    }

    /**
     * Whether little is left of it without names and emails of their own, however often they stand in it.
     *
     * @param list<string> $own
     */
    private static function isMadeOf(string $plain, array $own): bool
    {
        $left = $plain;
        foreach ($own as $value) {
            foreach (preg_split('/[^\pL\pN]+/u', mb_strtolower($value), flags: PREG_SPLIT_NO_EMPTY) ?: [] as $part) {
                $left = mb_strlen($part) >= self::LEAST_PART ? str_replace($part, '', $left) : $left;
            }
        }

        return $left !== $plain && mb_strlen((string) preg_replace('/[\d\W_]+/u', '', $left)) < self::LEAST_LEFT;
    }

    /** Without what is usually put around a word to make it longer: figures and signs, and the word twice. */
    private static function core(string $plain): string
    {
        $core = preg_replace('/^[\d\W_]+|[\d\W_]+$/u', '', $plain) ?? $plain;
        $half = mb_substr($core, 0, intdiv(mb_strlen($core), 2));

        return $half !== '' && $half.$half === $core ? $half : $core;
    }

    private static function isSequence(string $plain): bool
    {
        foreach (['abcdefghijklmnopqrstuvwxyz', '01234567890123456789', 'qwertyuiopasdfghjklzxcvbnm', '1qaz2wsx3edc4rfv5tgb6yhn'] as $row) {
            if (str_contains($row.$row, $plain) || str_contains(strrev($row.$row), $plain)) {
                return true;
            }
        }

        return false;
    }

    private static function isCommon(string $word): bool
    {
        /** @var array<string, int>|null $common */
        static $common = null;
        $common ??= array_flip(file(__DIR__.'/common-passwords.txt', FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES) ?: []);

        return isset($common[$word]);
    }
}
