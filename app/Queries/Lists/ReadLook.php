<?php

declare(strict_types=1);

namespace App\Queries\Lists;

use Almanac\Lists\ListOf;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Reads which columns somebody has chosen for themselves. */
final class ReadLook
{
    /** @return array<string, int|null> how wide each is, by the key of its field */
    public static function of(ListOf $list, User $reader): array
    {
        $kept = DB::table('list_looks')->where(['user_id' => $reader->id, 'list' => $list->value])->value('columns');
        /** @var list<array{key: string, width: int|null}> $columns */
        $columns = is_string($kept) ? json_decode($kept, true, flags: JSON_THROW_ON_ERROR) : [];

        return array_column($columns, 'width', 'key');
    }
}
