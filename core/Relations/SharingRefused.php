<?php

declare(strict_types=1);

namespace Almanac\Relations;

use Almanac\Refusal;

/** An address or a phone that cannot be used by link. */
final class SharingRefused extends Refusal
{
    public static function noAddress(string $name): self
    {
        return new self("$name has no address yet.");
    }

    public static function notThatAddress(string $name): self
    {
        return new self("$name no longer has that address. Choose another.");
    }

    public static function noPhone(string $name): self
    {
        return new self("$name has no phone yet.");
    }
}
