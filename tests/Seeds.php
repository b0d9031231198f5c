<?php

declare(strict_types=1);

namespace Tests;

/**
 * Which of its random seeds a test takes in this run: a third of them by the day of the year, all of them with
 * ALMANAC_SEEDS=all (`./almanac test --all`), or one share with ALMANAC_SEEDS=0, 1 or 2. Every share has passed.
 */
final class Seeds
{
    private const SHARES = 3;

    /**
     * @param int $each of each share
     *
     * @return list<int>
     */
    public static function shared(int $each): array
    {
        $all = range(0, self::SHARES * $each - 1);
        $share = self::share();

        return $share === null ? $all : array_values(array_filter($all, fn (int $seed) => $seed % self::SHARES === $share));
    }

    public static function share(): ?int
    {
        $asked = getenv('ALMANAC_SEEDS');

        return match (true) {
            $asked === 'all' => null,
            is_string($asked) && ctype_digit($asked) => (int) $asked % self::SHARES,
            default => (int) date('z') % self::SHARES,
        };
    }
}
