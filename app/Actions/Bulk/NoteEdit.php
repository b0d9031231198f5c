<?php

declare(strict_types=1);

namespace App\Actions\Bulk;

use Almanac\Bulk\BulkRefused;
use App\Models\Party;
use App\Models\User;

/** Writes something beside each record: a reminder, or an entry of its log. Nobody has it already. */
final readonly class NoteEdit implements BulkAct
{
    /**
     * @param \Closure(Party, User): int $write gives its number
     * @param \Closure(Party, int, User): bool $remove whether it was there as it had been written
     */
    public function __construct(private string $title, private \Closure $write, private \Closure $remove)
    {
    }

    public function title(): string
    {
        return $this->title;
    }

    public function isSo(): null
    {
        return null;
    }

    public function isForUsed(): bool
    {
        return true;
    }

    public function apply(Party $party, User $by): string
    {
        return (string) ($this->write)($party, $by);
    }

    public function takeBack(?Party $party, string $wayBack, User $by): void
    {
        if ($party === null) {
            throw BulkRefused::isGone();
        }
        if (! ($this->remove)($party, (int) $wayBack, $by)) {
            throw BulkRefused::changedSince();
        }
    }
}
