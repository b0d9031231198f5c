<?php

declare(strict_types=1);

namespace Almanac\Engagements;

use Almanac\Refusal;

/** Something that cases and projects cannot do. */
final class EngagementRefused extends Refusal
{
    public static function noSuchDays(int $most): self
    {
        return new self("Type a number of days from 1 to $most, or leave it empty.");
    }

    public static function thereAlready(string $stage): self
    {
        return new self("It is in the stage $stage already.");
    }

    public static function movedBefore(string $stage, string $since): self
    {
        return new self("It came into the stage $stage on $since. Choose that day or a later one.");
    }

    public static function negativeValue(): self
    {
        return new self('An enquiry is worth nothing or more. Type an amount without a minus.');
    }

    public static function paysTwice(): self
    {
        return new self('Somebody is named twice as paying. Put their shares together.');
    }

    public static function paysNothing(): self
    {
        return new self('Whoever pays has a share above 0%. Remove those who pay nothing.');
    }

    public static function noSuchNumber(string $role, int $most): self
    {
        return new self("Of the role $role, no more can be needed than allowed, and at most $most of either.");
    }

    public static function linkedToItself(): self
    {
        return new self('It cannot be linked to itself. Choose another.');
    }

    public static function linkedInACircle(string $link): self
    {
        return new self("That would make it $link itself, by way of others. Remove one of those links first.");
    }
}
