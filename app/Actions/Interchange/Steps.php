<?php

declare(strict_types=1);

namespace App\Actions\Interchange;

/** Work of many small steps, which tells now and then how far it is. */
final class Steps
{
    private const TELLS_EVERY = 500;

    private int $done = 0;

    /** @param  \Closure(float): void  $tell from 0 to 1 */
    public function __construct(private readonly int $all, private readonly \Closure $tell)
    {
    }

    public function take(): void
    {
        $this->done++;
        if ($this->done % self::TELLS_EVERY === 0) {
            ($this->tell)(min(1.0, $this->done / max(1, $this->all)));
        }
    }
}
