<?php

declare(strict_types=1);

namespace App\Actions\Interchange;

/** A part of some work, of many small steps, which tells now and then how far the work is. */
final class Steps
{
    private const TELLS_EVERY = 500;

    private int $done = 0;

    /**
     * @param int $all how many steps there are
     * @param float $from how much of the work is done before, from 0 to 1
     * @param float $to how much with it
     * @param \Closure(float): void $tell
     */
    public function __construct(
        private readonly int $all,
        private readonly float $from,
        private readonly float $to,
        private readonly \Closure $tell,
    ) {
    }

    public function take(): void
    {
        $this->done++;
        if ($this->done % self::TELLS_EVERY === 0) {
            ($this->tell)($this->from + ($this->to - $this->from) * min(1.0, $this->done / max(1, $this->all)));
        }
    }
}
