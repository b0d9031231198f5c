<?php

declare(strict_types=1);

namespace App\Queries\Records;

use App\Http\Data\Records\ChangeData;
use App\Http\Data\Records\ChangesData;
use App\Models\Change;
use App\Models\Party;

/** Reads the change log of a record backwards, a stretch at a time. */
final class ReadChanges
{
    private const AT_ONCE = 30;

    public function handle(Party $party, ?int $before): ChangesData
    {
        $changes = Change::query()->with('user')
            ->where('party_id', $party->id)
            ->when($before !== null, fn ($query) => $query->where('id', '<', $before))
            ->orderByDesc('id')
            ->limit(self::AT_ONCE + 1)
            ->get();
        $shown = $changes->take(self::AT_ONCE);

        return new ChangesData(
            array_values($shown->map(fn (Change $change) => ChangeData::of($change))->all()),
            $changes->count() > self::AT_ONCE ? $shown->last()?->id : null,
        );
    }
}
