<?php

declare(strict_types=1);

namespace Almanac\Files;

use Almanac\Refusal;

/** A file that is not kept. */
final class FileRefused extends Refusal
{
    public static function tooLarge(int $bytes, int $most): self
    {
        return new self(
            sprintf(
                'That file is %s MB; the limit is %s MB. Make it smaller, or split it.',
                self::megabytes($bytes),
                self::megabytes($most),
            ),
        );
    }

    public static function empty(): self
    {
        return new self('That file is empty.');
    }

    public static function type(string $name): self
    {
        return new self("“{$name}” is a kind of file that is not kept here. Use a picture, PDF, text, table, letter or email.");
    }

    public static function noPicture(): self
    {
        return new self('That is no picture that can be printed. Choose a PNG, JPEG, GIF or WebP.');
    }

    public static function tooManyPixels(int $most): self
    {
        return new self(sprintf('That picture has more than %d million pixels. Make it smaller.', intdiv($most, 1_000_000)));
    }

    private static function megabytes(int $bytes): string
    {
        return number_format($bytes / 1_000_000, 1);
    }
}
