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

    public static function inRoleTwice(): self
    {
        return new self('They have that role already. Change one of the two, or end the first before the second begins.');
    }

    public static function movedMeanwhile(string $stage, string $by): self
    {
        return new self("It was moved to $stage by $by in the meantime. Look at it again before you move it on.");
    }

    public static function draftsLeft(int $drafts): self
    {
        return new self($drafts === 1 ? 'It still has a draft. Issue or void it first, or close it all the same.'
            : "It still has $drafts drafts. Issue or void them first, or close it all the same.");
    }

    public static function nobodyPays(): self
    {
        return new self('Nobody is named as paying. Say under Parties who pays, and how much of it.');
    }

    public static function noneToWriteFor(): self
    {
        return new self('That case or project is not in use. Choose another, or none.');
    }

    public static function noSuchStage(): self
    {
        return new self('Choose the stage from the list.');
    }

    public static function noLongerUsed(string $kind): self
    {
        return new self("No new $kind is begun any more. Choose another kind.");
    }

    public static function replacedBeforeItBegan(string $since): self
    {
        return new self("They have the role since $since. Choose a later day.");
    }

    public static function withoutOpenStage(): self
    {
        return new self('A kind needs at least one stage that is open and one that is closed.');
    }

    public static function signTaken(string $sign): self
    {
        return new self("Another kind has the sign $sign.");
    }

    public static function stillReferredTo(string $what): self
    {
        return new self("It cannot be deleted: there are $what. Archive it instead.");
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

    public static function hiddenFrom(string $colleague): self
    {
        return new self("$colleague may not see this one. Choose somebody else, or name them under Title and terms.");
    }
}
