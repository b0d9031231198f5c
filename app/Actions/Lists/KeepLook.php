<?php

declare(strict_types=1);

namespace App\Actions\Lists;

use Almanac\Lists\ListOf;
use App\Models\Party;
use App\Models\User;
use App\Time\Clock;
use Illuminate\Support\Facades\DB;

/** Keeps how somebody looks at a list, and what they had open. */
final readonly class KeepLook
{
    public function __construct(private Clock $clock)
    {
    }

    /** @param  list<array{key: string, width: int|null}>  $columns  none for the usual ones again */
    public function columns(ListOf $list, array $columns, User $by): void
    {
        DB::table('list_looks')->updateOrInsert(
            ['user_id' => $by->id, 'list' => $list->value],
            ['columns' => json_encode($columns, JSON_THROW_ON_ERROR)],
        );
    }

    public function opened(Party $party, User $by): void
    {
        DB::table('record_uses')->updateOrInsert(
            ['user_id' => $by->id, 'party_id' => $party->id],
            ['at' => $this->clock->now()->toDateTimeString(), 'used_on' => $this->clock->today()->toIso()],
        );
    }
}
