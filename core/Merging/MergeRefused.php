<?php

declare(strict_types=1);

namespace Almanac\Merging;

use Almanac\Refusal;

/** Why records are not made one, or not taken apart, in words that a user can read. */
final class MergeRefused extends Refusal
{
    public const MOST = 10;

    /** @param  non-empty-list<Hindrance>  $hindrances */
    public static function because(array $hindrances): self
    {
        return new self(implode(' ', array_map(fn (Hindrance $one) => $one->toText(), $hindrances)));
    }

    public static function tooFew(): self
    {
        return new self('Choose two records or more that are one.');
    }

    public static function tooMany(): self
    {
        return new self('At most '.self::MOST.' records are made one at a time. Do it in several steps.');
    }

    public static function isGone(): self
    {
        return new self('One of these records is no longer in the book. Load the list again.');
    }

    public static function isDone(string $by): self
    {
        return new self("$by has made them one in the meantime.");
    }

    public static function isProposed(string $by): self
    {
        return new self("$by has proposed that already. It waits under Look-alikes.");
    }

    public static function isNotProposed(): self
    {
        return new self('That is no longer proposed. Load the list again.');
    }

    public static function isApart(string $by): self
    {
        return new self("$by has taken them apart in the meantime.");
    }

    /** @param  string  $later  what was done since: "made one with no. 1014 Bob Larkin on 3 May 2026" */
    public static function lastFirst(string $later): self
    {
        return new self("The record was $later. Take that apart first: the last goes before the ones before it.");
    }

    public static function ownMerge(): self
    {
        return new self('That was saved when records were made one. Take them apart instead.');
    }
}
