<?php

declare(strict_types=1);

namespace Almanac\Interchange;

/** Reading by libraries that only warn of what they cannot read, whoever listens to warnings. */
final class Strictly
{
    /**
     * @template T
     *
     * @param \Closure(): T $read
     *
     * @return T
     *
     * @throws \Throwable what it throws, and an \ErrorException at the first warning
     */
    public static function read(\Closure $read): mixed
    {
        // That a library does something that PHP will not do for ever is none of the file's.
        set_error_handler(
            fn (int $level, string $said): bool => ($level & (E_WARNING | E_NOTICE)) === 0 || throw new \ErrorException($said, severity: $level),
        );
        try {
            return $read();
        } finally {
            restore_error_handler();
        }
    }
}
