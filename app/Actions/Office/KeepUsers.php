<?php

declare(strict_types=1);

namespace App\Actions\Office;

use Almanac\Access\Role;
use App\Actions\Access\KeepAccess;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/** Adds colleagues, changes what they may do, and retires them. Nobody who wrote in the log is ever deleted. */
final readonly class KeepUsers
{
    public function __construct(private KeepAccess $access)
    {
    }

    /** @throws ValidationException when somebody has that email already */
    public function add(string $name, string $email, string $password, Role $role): User
    {
        return DB::transaction(function () use ($name, $email, $password, $role): User {
            $email = Str::lower(trim($email));
            if (User::query()->where('email', $email)->exists()) {
                throw ValidationException::withMessages(['email' => 'Somebody signs in with that email already.']);
            }

            return User::query()->create(['name' => trim($name), 'email' => $email, 'role' => $role, 'password' => $password]);
        });
    }

    /**
     * @param string $password empty leaves it as it is
     *
     * @throws ValidationException when no administrator would be left
     */
    public function change(User $user, string $name, Role $role, bool $isRetired, string $password): void
    {
        DB::transaction(function () use ($user, $name, $role, $isRetired, $password): void {
            if (
                $user->isAdministrator() &&
                ! $user->isRetired() &&
                ($role !== Role::Administrator || $isRetired) &&
                $this->administrators() === 1
            ) {
                throw ValidationException::withMessages(['role' => 'The office needs an administrator. Make somebody else one first.']);
            }
            $user->fill(['name' => trim($name), 'role' => $role]);
            $user->retired_at = $isRetired ? ($user->retired_at ?? now()) : null;
            $user->save();
            if ($password !== '') {
                $this->access->setPassword($user, $password);
            } elseif ($isRetired) {
                $this->access->close($user);
            }
        });
    }

    private function administrators(): int
    {
        return User::query()->whereNull('retired_at')->where('role', Role::Administrator)->count();
    }
}
