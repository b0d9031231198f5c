<?php

declare(strict_types=1);

namespace Almanac\Details;

use Almanac\Refusal;

/** What was typed into a field of a detail sheet is not of its kind. */
final class FieldRefused extends Refusal
{
    public static function notANumber(string $typed): self
    {
        return new self("“{$typed}” is not a number. Type it like 1,250.5.");
    }

    public static function notYesOrNo(string $typed): self
    {
        return new self("“{$typed}” is neither yes nor no.");
    }

    public static function notOffered(string $typed): self
    {
        return new self("“{$typed}” is not among the choices.");
    }

    public static function notAnAmount(string $typed): self
    {
        return new self("“{$typed}” is not an amount. Type it like 1,250.50, or with its currency like CHF 1250.");
    }

    public static function withoutChoices(): self
    {
        return new self('Type the choices, one per line.');
    }

    public static function kindInUse(string $kind): self
    {
        return new self("Records hold values of this field, so it stays “{$kind}”. Retire it, and add another.");
    }
}
