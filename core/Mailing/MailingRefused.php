<?php

declare(strict_types=1);

namespace Almanac\Mailing;

use Almanac\Refusal;

/** A sheet that cannot be printed so, or a message that cannot be sent. */
final class MailingRefused extends Refusal
{
    public static function unknownSheet(string $key): self
    {
        return new self("There is no sheet “{$key}”. Choose one of the list.");
    }

    public static function doesNotFit(): self
    {
        return new self('So many labels of that size do not fit on the page. Measure the sheet again.');
    }

    public static function tooSmall(float $width, float $height): self
    {
        return new self("A label has to be at least $width mm wide and $height mm high.");
    }

    public static function startsPastTheEnd(int $labels): self
    {
        return new self("The sheet has $labels labels. Start at one of them.");
    }

    public static function tooMany(int $most): self
    {
        return new self('At most '.number_format($most).' labels at once. Narrow the list.');
    }

    public static function isGone(): self
    {
        return new self('What was sent is no longer kept. Send it anew from where it comes.');
    }
}
