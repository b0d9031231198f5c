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

    public static function tooManyLetters(int $most): self
    {
        return new self('At most '.number_format($most).' letters at once. Narrow the list.');
    }

    public static function nobody(): self
    {
        return new self('Nobody is chosen. Choose at least one record.');
    }

    public static function allLeftOut(): self
    {
        return new self('Nobody of them can be written to this way. The list says why.');
    }

    public static function empty(): self
    {
        return new self('Write the letter first.');
    }

    public static function tooLong(int $most): self
    {
        return new self('A letter has at most '.number_format($most).' letters.');
    }

    public static function tooManyFields(int $most): self
    {
        return new self("A letter has at most $most fields.");
    }

    public static function openBrace(int $line): self
    {
        return new self("Line $line has a brace that does not belong to a field. Close it, or write it twice.");
    }

    public static function unnamedField(int $line): self
    {
        return new self("Line $line has braces without a field between them. Name one, as in {greeting}.");
    }

    /** @param  string  $meant  the field that may have been meant; empty where none comes near */
    public static function unknownField(string $name, int $line, string $meant): self
    {
        $name = mb_strimwidth($name, 0, 60, '…');

        return new self("There is no field “{$name}” (line $line).".($meant === '' ? ' Choose one of the list.' : " Is “{$meant}” meant?"));
    }

    public static function caseIsGone(string $name): self
    {
        return new self("$name does not see the case or project any more, so it stopped there.");
    }

    public static function notNow(string $state): self
    {
        return new self("It is $state. Load it again.");
    }
}
