<?php

declare(strict_types=1);

namespace App\Actions\Bulk;

use Almanac\Access\Permission;
use Almanac\Bulk\BulkRefused;
use App\Models\User;
use Illuminate\Support\Facades\Auth;

/** Long work is done in the name of whoever began it, sees what they see, and ends when they may no longer. */
final class InTheirName
{
    /** @throws BulkRefused when they may not change records any more */
    public static function of(int $userId): User
    {
        $by = User::query()->findOrFail($userId);
        Auth::setUser($by);

        return $by->retired_at === null && $by->can(Permission::ChangeRecords->value) ? $by : throw BulkRefused::mayNot($by->name);
    }
}
