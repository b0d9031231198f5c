<?php

declare(strict_types=1);

namespace App\Upgrade;

/** A database was used by a later version of the program; this one would not know what it holds. */
final class NewerDatabase extends \RuntimeException
{
    public static function of(string $version): self
    {
        return new self("This database was last used with Neat Almanac $version. This is version ".Version::CURRENT
            .". Start version $version or later, or restore a backup that was made with ".Version::CURRENT.' or earlier.');
    }
}
