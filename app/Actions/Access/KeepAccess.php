<?php

declare(strict_types=1);

namespace App\Actions\Access;

use App\Models\User;
use App\Models\UserSession;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Support\Facades\DB;
use Laravel\Sanctum\PersonalAccessToken;

/** What somebody gets in by: a password, tokens for scripts, a calendar address. A new password ends all that came before it. */
final readonly class KeepAccess
{
    public const MOST_DAYS = 366;

    public function setPassword(User $user, #[\SensitiveParameter] string $password): void
    {
        DB::transaction(function () use ($user, $password): void {
            $user->fill(['password' => $password])->save();
            $this->close($user);
        });
    }

    /** Sessions, tokens and the calendar address are worth nothing from now on, and do not come back. */
    public function close(User $user): void
    {
        $user->tokens()->delete();
        $this->endSessions($user);
        DB::table('known_devices')->where('user_id', $user->id)->delete();
        $user->forceFill([
            'calendar_hash' => null, 'remember_token' => null, 'session_generation' => $user->session_generation + 1,
        ])->save();
    }

    public function endSession(User $user, int $session): void
    {
        UserSession::query()->where('user_id', $user->id)->whereKey($session)->delete();
    }

    /** Ends all sessions of a user but one, where one is to stay. */
    public function endSessions(User $user, ?int $except = null): void
    {
        UserSession::query()->where('user_id', $user->id)->when($except !== null, fn ($others) => $others->whereKeyNot($except))->delete();
    }

    /**
     * Ends a token; its owner may, and an administrator.
     *
     * @throws AuthorizationException when it is somebody else's
     */
    public function revoke(PersonalAccessToken $token, User $by): void
    {
        if ($token->tokenable_id !== $by->id && ! $by->isAdministrator()) {
            throw new AuthorizationException('That token is somebody else’s. Ask them, or an administrator.');
        }
        $token->delete();
    }
}
