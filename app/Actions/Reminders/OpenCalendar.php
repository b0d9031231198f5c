<?php

declare(strict_types=1);

namespace App\Actions\Reminders;

use App\Models\User;
use Illuminate\Support\Str;

/** Gives a colleague a secret address at which a calendar program finds the reminders. Only its hash is kept. */
final class OpenCalendar
{
    private const LENGTH = 40;

    /** @return string the secret; the one before is worth nothing any more */
    public function handle(User $user): string
    {
        $secret = Str::random(self::LENGTH);
        $user->forceFill(['calendar_hash' => User::calendarHash($secret)])->save();

        return $secret;
    }
}
