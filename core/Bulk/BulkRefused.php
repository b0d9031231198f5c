<?php

declare(strict_types=1);

namespace Almanac\Bulk;

use Almanac\Refusal;

/** A bulk change that cannot be, or not for that record. */
final class BulkRefused extends Refusal
{
    public static function nobody(): self
    {
        return new self('Nobody is chosen. Choose at least one record.');
    }

    public static function tooMany(int $most): self
    {
        return new self('That is more than '.number_format($most).' records. Choose fewer.');
    }

    public static function notUnderstood(): self
    {
        return new self('Not all of the list’s sentence is understood, so nothing is changed. Put the sentence right first.');
    }

    public static function notNow(BulkState $state): self
    {
        return new self("It is {$state->title()}. Load it again.");
    }

    public static function mayNot(string $name): self
    {
        return new self("$name may no longer change records, so it stopped there.");
    }

    public static function isGone(): self
    {
        return new self('The record is gone.');
    }

    public static function hasFiles(): self
    {
        return new self('It has files. Delete it on its own page, where they are seen.');
    }

    public static function numberTaken(int $number): self
    {
        return new self("Number $number belongs to another record now.");
    }

    public static function changedSince(): self
    {
        return new self('It has been changed since, and keeps the later change.');
    }

    public static function choose(string $what): self
    {
        return new self("Choose $what.");
    }
}
