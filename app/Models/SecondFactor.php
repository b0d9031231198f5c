<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * The authenticator app of a user.
 *
 * @property int $user_id
 * @property string $secret in base 32; encrypted in the database
 * @property Carbon|null $confirmed_at null until a first code was right
 * @property int|null $used_step of the last code that was taken
 */
final class SecondFactor extends Model
{
    protected $table = 'second_factors';

    public $timestamps = false;

    protected $fillable = ['user_id', 'secret', 'confirmed_at', 'used_step'];

    protected $hidden = ['secret'];

    protected $attributes = ['confirmed_at' => null, 'used_step' => null];

    protected function casts(): array
    {
        return ['secret' => 'encrypted', 'confirmed_at' => 'datetime'];
    }

    /** Whether the office requires one of the user's role. */
    public static function isRequiredOf(User $user): bool
    {
        return in_array($user->role->value, Office::query()->first()->second_factor_roles ?? [], true);
    }

    /** Whether a user has yet to set up what their role requires. */
    public static function isMissingOf(User $user): bool
    {
        return self::isRequiredOf($user) && self::of($user) === null;
    }

    public static function of(User $user): ?self
    {
        return $user->secondFactor()->first();
    }
}
