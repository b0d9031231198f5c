<?php

declare(strict_types=1);

namespace Almanac\Records;

/** Why a record is no longer in use, in a few words. */
final readonly class ArchiveReason
{
    private const MAX_LENGTH = 200;

    private function __construct(public string $text)
    {
    }

    /** @throws ArchiveRefused when it is empty or over 200 characters */
    public static function of(string $typed): self
    {
        $text = trim(preg_replace('/[\p{Cc}\s]+/u', ' ', $typed) ?? '');

        return match (true) {
            $text === '' => throw ArchiveRefused::withoutReason(),
            mb_strlen($text) > self::MAX_LENGTH => throw ArchiveRefused::tooLong(self::MAX_LENGTH),
            default => new self($text),
        };
    }
}
