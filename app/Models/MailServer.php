<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Mailing\MailSecurity;

/**
 * The mail server that the office sends by; there is one, or none.
 *
 * @property int $id
 * @property string $host
 * @property int $port
 * @property MailSecurity $security
 * @property string $user_name empty where it asks for none
 * @property string $password encrypted at rest
 * @property string $sender the address that all is sent from; empty for that of whoever sends
 * @property int $version
 */
final class MailServer extends Model
{
    protected $table = 'mail_servers';

    protected $attributes = ['user_name' => '', 'sender' => '', 'version' => 0];

    protected $hidden = ['password'];

    protected function casts(): array
    {
        return ['security' => MailSecurity::class, 'password' => 'encrypted'];
    }

    /** The address that a message of somebody's leaves from. */
    public function sendsFor(User $user): string
    {
        return $this->sender === '' ? $user->sendsFrom() : $this->sender;
    }

    public static function current(): ?self
    {
        return self::query()->first();
    }
}
