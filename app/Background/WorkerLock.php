<?php

declare(strict_types=1);

namespace App\Background;

/**
 * Held by the worker of an office for as long as it runs: there is never a second one, and monitors see whether there is
 * one. A task that outlives its worker holds it too, so that nobody begins the same task again beside it.
 */
final class WorkerLock
{
    /** @var resource|null */
    private static $held;

    /** Takes the lock, or keeps it; taken anew where another office was put in the place of this one. */
    public static function take(): bool
    {
        clearstatcache();
        if (self::$held !== null && (fstat(self::$held)['ino'] ?? null) === @fileinode(self::path())) {
            return true;
        }
        $file = @fopen(self::path(), 'c');
        if ($file === false || ! flock($file, LOCK_EX | LOCK_NB)) {
            return false;
        }
        self::$held = $file;

        return true;
    }

    public static function isHeld(): bool
    {
        $file = @fopen(self::path(), 'c');
        if ($file === false) {
            return false;
        }
        $isFree = flock($file, LOCK_SH | LOCK_NB);
        fclose($file);

        return ! $isFree;
    }

    private static function path(): string
    {
        return storage_path('framework/worker.lock');
    }
}
