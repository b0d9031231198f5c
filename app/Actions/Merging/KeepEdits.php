<?php

declare(strict_types=1);

namespace App\Actions\Merging;

use App\Models\Party;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Notes who is changing a record at this moment, so that nobody makes it one with another meanwhile. */
final readonly class KeepEdits
{
    public function handle(Party $party, bool $isEditing, User $by): void
    {
        $key = ['party_id' => $party->id, 'user_id' => $by->id];
        $isEditing
            ? DB::table('record_edits')->upsert([$key + ['at' => now()->toDateTimeString()]], ['party_id', 'user_id'], ['at'])
            : DB::table('record_edits')->where($key)->delete();
    }
}
