<?php

declare(strict_types=1);

namespace App\Facts\Lists;

use Almanac\Calendar\Day;
use Almanac\Lists\Condition;

/** A source that depends on the day, or on who asks. */
final readonly class Later implements Source
{
    /**
     * @param \Closure(Day): Source $source
     * @param \Closure(): string $order
     */
    public function __construct(private \Closure $source, private \Closure $order)
    {
    }

    public function asks(Condition $condition, Day $today): Asked
    {
        return ($this->source)($today)->asks($condition, $today);
    }

    public function grouped(string $alias, Day $today): array
    {
        return ($this->source)($today)->grouped($alias, $today);
    }

    public function order(): string
    {
        return ($this->order)();
    }
}
