<?php

declare(strict_types=1);

namespace App\Facts\Lists;

use App\Models\User;

/** Whoever works in the office, to choose from. */
final class Colleagues
{
    /** @return list<string> */
    public static function names(): array
    {
        return array_values(User::query()->orderBy('name')->get()->map(fn (User $user) => $user->name)->all());
    }
}
