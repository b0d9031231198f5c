<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A browser in which a user is signed in.
 *
 * @property int $id
 * @property int $user_id
 * @property string $device browser and system, as they name themselves
 * @property string $address network address
 * @property Carbon $began_at
 * @property Carbon $used_at to five minutes
 */
final class UserSession extends Model
{
    protected $table = 'user_sessions';

    public $timestamps = false;

    protected $fillable = ['user_id', 'device', 'address', 'began_at', 'used_at'];

    /** What was last used before this is over, as the session itself is. */
    public static function oldest(): Carbon
    {
        return now()->subMinutes(config()->integer('session.lifetime'));
    }

    protected function casts(): array
    {
        return ['began_at' => 'datetime', 'used_at' => 'datetime'];
    }
}
