<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Access\Permission;
use Almanac\Access\Role;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Laravel\Sanctum\HasApiTokens;
use Spatie\Permission\Traits\HasRoles;

/**
 * Somebody who works at the office and signs in.
 *
 * @property int $id
 * @property string $name
 * @property string $email
 * @property string $password
 * @property \Illuminate\Support\Carbon|null $retired_at
 */
final class User extends Authenticatable
{
    use HasApiTokens, HasRoles;

    protected $fillable = ['name', 'email', 'password'];

    protected $attributes = ['retired_at' => null];

    protected $hidden = ['password', 'remember_token'];

    protected function casts(): array
    {
        return ['password' => 'hashed', 'retired_at' => 'datetime'];
    }

    /** No longer at the office: cannot sign in, and stays in the log. */
    public function isRetired(): bool
    {
        return $this->retired_at !== null;
    }

    public function isAdministrator(): bool
    {
        return $this->officeRole() === Role::Administrator;
    }

    public function officeRole(): Role
    {
        $name = $this->getRoleNames()->first();

        return is_string($name) ? Role::from($name) : Role::Reader;
    }

    /**
     * What a role allows is said by the core; nobody has a permission of their own.
     *
     * @param mixed $permission as the gate asks for it
     * @param string|null $guardName
     */
    public function checkPermissionTo($permission, $guardName = null): bool
    {
        $asked = is_string($permission) ? Permission::tryFrom($permission) : null;

        return $asked !== null && $this->officeRole()->may($asked);
    }

    /** What is kept of the secret address of somebody's calendar. */
    public static function calendarHash(string $secret): string
    {
        return hash('sha256', $secret);
    }
}
