<?php

declare(strict_types=1);

namespace App\Queries\Office;

use App\Http\Data\Office\UserData;
use App\Models\User;

/** Reads who signs in: those at the office first, by name. */
final class ListUsers
{
    /** @return list<UserData> */
    public function handle(): array
    {
        return array_values(User::query()->with('secondFactor')
            ->orderByRaw('retired_at is not null')->orderBy('name')->get()
            ->map(fn (User $user) => UserData::of($user))->all());
    }
}
