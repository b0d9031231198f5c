<?php

declare(strict_types=1);

namespace App\Upgrade;

/** Which version of the program this is; see CHANGELOG.md. Semantic Versioning 2.0.0. */
final class Version
{
    public const CURRENT = '0.3.0';

    public static function isNewer(string $version): bool
    {
        return version_compare($version, self::CURRENT, '>');
    }
}
