<?php

declare(strict_types=1);

namespace Almanac\Records;

/** Somebody else has saved it since it was read. Nothing was written. */
final class StaleSave extends \RuntimeException
{
    /**
     * @param int $kept the version that it is at
     * @param int $seen the version that whoever saves has seen
     * @param string $what as in "this document"
     *
     * @throws self when somebody else has saved it since
     */
    public static function unlessSeen(int $kept, int $seen, string $what): void
    {
        if ($kept !== $seen) {
            throw self::of($what);
        }
    }

    /** @param  string  $what  as in "this document" */
    public static function of(string $what): self
    {
        return new self("Somebody has saved $what in the meantime. Load it again; what you typed stays on this page until then.");
    }
}
