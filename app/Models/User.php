<?php

declare(strict_types=1);

namespace App\Models;

use App\Support\Role;
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
 */
final class User extends Authenticatable
{
    use HasApiTokens, HasRoles;

    protected $fillable = ['name', 'email', 'password'];

    protected $hidden = ['password', 'remember_token'];

    protected function casts(): array
    {
        return ['password' => 'hashed'];
    }

    public function isAdministrator(): bool
    {
        return $this->role() === Role::Administrator;
    }

    public function role(): Role
    {
        $name = $this->getRoleNames()->first();

        return is_string($name) ? Role::from($name) : Role::Reader;
    }
}
