<?php

declare(strict_types=1);

namespace App\Upgrade;

/** The migrations that have been released. None of them is edited any more: a test compares them with their hashes. */
final class ReleasedMigrations
{
    /** The first that was never edited. A database without it may have any of the schemas that the ones before it once made. */
    public const FIRST_KEPT = '2026_12_02_000001_create_upgrades';

    /** Where their hashes are kept. */
    public const HASHES = 'database/released-migrations.txt';

    /** @return list<string> names, in the order in which they run */
    public static function before(string $name): array
    {
        return array_values(array_filter(self::all(), fn (string $one) => $one < $name));
    }

    /** @return list<string> */
    public static function all(): array
    {
        $files = glob(database_path('migrations/*.php')) ?: [];
        sort($files);

        return array_map(fn (string $file) => basename($file, '.php'), $files);
    }
}
