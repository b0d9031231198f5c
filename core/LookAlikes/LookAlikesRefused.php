<?php

declare(strict_types=1);

namespace Almanac\LookAlikes;

use Almanac\Refusal;

/** Why look-alikes cannot be settled so, in words that a user can read. */
final class LookAlikesRefused extends Refusal
{
    public static function isSettled(string $by): self
    {
        return new self("$by has settled this in the meantime. It stands under “Decided”.");
    }

    public static function isGone(): self
    {
        return new self('They no longer look alike, or one of them is gone. Load the list again.');
    }

    public static function isUnderWay(): self
    {
        return new self('The book is being gone through already.');
    }

    public static function isNotShared(): self
    {
        return new self('Fewer than two records have it: nobody shares it.');
    }

    public static function isNamed(string $name): self
    {
        return new self("It is called “{$name}” already.");
    }
}
