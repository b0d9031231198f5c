<?php

declare(strict_types=1);

namespace App\Actions\Finding;

/** Records whose index waits while several are changed together: each is written once, and they are read in one go. */
final class HeldIndex
{
    /** @var array<int, true>|null by record; null while nothing is held back */
    private ?array $ids = null;

    public function isHolding(): bool
    {
        return $this->ids !== null;
    }

    public function hold(): void
    {
        $this->ids ??= [];
    }

    /** @param  array<int>  $ids */
    public function add(array $ids): void
    {
        foreach ($ids as $id) {
            $this->ids[$id] = true;
        }
    }

    /** @return list<int> those that were held back */
    public function release(): array
    {
        $ids = array_keys($this->ids ?? []);
        $this->ids = null;

        return $ids;
    }
}
