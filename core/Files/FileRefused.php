<?php

declare(strict_types=1);

namespace Almanac\Files;

use Almanac\Refusal;

/** A file that is not kept. */
final class FileRefused extends Refusal
{
    public static function tooLarge(int $bytes, int $most): self
    {
        return new self(sprintf('That file has %s MB; at most %s MB are taken. Make it smaller, or split it.', self::megabytes($bytes), self::megabytes($most)));
    }

    public static function empty(): self
    {
        return new self('That file is empty.');
    }

    public static function type(string $name): self
    {
        return new self("“{$name}” is of no kind that is kept here. Pictures, PDF, text, tables, letters and emails are.");
    }

    private static function megabytes(int $bytes): string
    {
        return number_format($bytes / 1_000_000, 1);
    }
}
