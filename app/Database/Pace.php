<?php

declare(strict_types=1);

namespace App\Database;

/** How many of long work fit into one step, so that whoever saves meanwhile waits for a moment only: what the last step took tells. */
final class Pace
{
    /** Milliseconds that a step may hold others up. */
    private const STEP = 100.0;

    /** Of them, the part after which nothing more is begun: what was done has to be indexed yet. */
    private const SPENT = 0.6;

    private float $begun = 0.0;

    /**
     * @param int $many of the first step
     * @param int $most of any
     * @param float $step milliseconds; longer where much is read for each step, however many are in it
     */
    public function __construct(private int $many, private readonly int $most, private readonly float $step = self::STEP)
    {
    }

    public function many(): int
    {
        return $this->many;
    }

    /**
     * Step after step, each measured by the last, as long as there is more to do.
     *
     * @param \Closure(): bool $step of as many as many() says; whether there is more
     */
    public function steps(\Closure $step): void
    {
        LongWork::steps(fn () => $this->step($step));
    }

    /**
     * One step, by which the next is measured.
     *
     * @template T
     *
     * @param \Closure(): T $step of as many as many() says
     *
     * @return T
     */
    public function step(\Closure $step): mixed
    {
        $this->begun = hrtime(true) / 1e6;
        $result = $step();
        $took = max(1.0, hrtime(true) / 1e6 - $this->begun);
        // At the most twice as many: one step that had little to do says little.
        $this->many = (int) max(1, min($this->most, 2 * $this->many, $this->many * $this->step / $took));

        return $result;
    }

    /** Whether the step has taken so long that the rest had better wait for the next. */
    public function isSpent(): bool
    {
        return hrtime(true) / 1e6 - $this->begun > self::SPENT * $this->step;
    }
}
