<?php

declare(strict_types=1);

namespace App\Database;

/**
 * Who waits to write, as far as long work has to know: SQLite has no line in which those stand who wait
 * for its lock, so work that asks for it again at once gets it again, and everybody else stays outside.
 * Whoever waits holds a shared lock on a file beside the database; long work waits until nobody does.
 * The lock of one who was killed is gone with his process.
 */
final class Door
{
    private const LONGEST_MS = 2000;

    /** @var resource|null */
    private $file;

    /** @param  string  $path of the database; an empty one has nobody else who could wait */
    public function __construct(private readonly string $path)
    {
    }

    /** Says that somebody waits, until leave(). */
    public function wait(): void
    {
        $file = $this->file();
        if ($file !== null) {
            flock($file, LOCK_SH);
        }
    }

    public function leave(): void
    {
        $file = $this->file();
        if ($file !== null) {
            flock($file, LOCK_UN);
        }
    }

    /** Stays outside until all have come in who wait now; at most two seconds, so that the work ends where everybody saves all day. */
    public function letOthersIn(): void
    {
        $end = hrtime(true) + self::LONGEST_MS * 1_000_000;
        while ($this->isAwaited() && hrtime(true) < $end) {
            usleep(1000);
        }
    }

    /** Whether somebody waits who is not of this process. */
    public function isAwaited(): bool
    {
        $file = $this->file();
        if ($file === null) {
            return false;
        }
        $isFree = flock($file, LOCK_EX | LOCK_NB);
        flock($file, LOCK_UN);

        return ! $isFree;
    }

    /** @return resource|null null where no file can be kept: then it is first come, first served */
    private function file()
    {
        if ($this->file === null && $this->path !== '') {
            $this->file = @fopen("$this->path-door", 'c') ?: null;
        }

        return $this->file;
    }
}
