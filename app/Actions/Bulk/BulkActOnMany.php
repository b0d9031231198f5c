<?php

declare(strict_types=1);

namespace App\Actions\Bulk;

use Almanac\Records\ArchivedRecord;
use App\Models\Party;
use App\Models\User;
use Illuminate\Database\Eloquent\Collection;

/** A bulk act that a handful of statements do to many records at once, with what comes of it as if it were done one by one. */
interface BulkActOnMany extends BulkAct
{
    /**
     * Runs inside a transaction.
     *
     * @param Collection<int, Party> $parties
     *
     * @return array<int, string|ArchivedRecord|null> by record: what takes it back, null where it is so already, or why not
     */
    public function applyToAll(Collection $parties, User $by): array;
}
