<?php

declare(strict_types=1);

namespace App\Models;

use Almanac\Access\Role;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Http\Request;
use Laravel\Sanctum\Contracts\HasAbilities;
use Laravel\Sanctum\HasApiTokens;

/**
 * Somebody who works at the office and signs in.
 *
 * @property int $id
 * @property string $name
 * @property string $email
 * @property Role $role
 * @property string $password
 * @property int $session_generation sessions of an earlier one are over
 * @property \Illuminate\Support\Carbon|null $retired_at
 */
final class User extends Authenticatable
{
    use BeginsQuickly;
    use HasApiTokens;

    protected $table = 'users';

    /** For whoever signs in with an address that only this office knows. */
    private const NO_REPLY = 'office@almanac.invalid';

    protected $fillable = ['name', 'email', 'role', 'password'];

    private const GENERATION = 'generation';

    private const SESSION = 'user session';

    private const NOTED_EVERY_S = 300;

    protected $attributes = ['retired_at' => null, 'session_generation' => 0];

    protected $hidden = ['password', 'remember_token'];

    protected function casts(): array
    {
        return ['role' => Role::class, 'password' => 'hashed', 'retired_at' => 'datetime'];
    }

    /** @return HasOne<SecondFactor, $this> the one that is on */
    public function secondFactor(): HasOne
    {
        return $this->hasOne(SecondFactor::class)->whereNotNull('confirmed_at');
    }

    /** No longer at the office: cannot sign in, and stays in the log. */
    public function isRetired(): bool
    {
        return $this->retired_at !== null;
    }

    public function isAdministrator(): bool
    {
        return $this->role === Role::Administrator;
    }

    /** Whether long work is theirs to look into and to steer: what they began themselves, or, as an administrator, anybody's. */
    public function maySteer(Import|BulkChange|LetterRun $work): bool
    {
        return $work->user_id === $this->id || $this->isAdministrator();
    }

    /** What is kept of the secret address of somebody's calendar. */
    public static function calendarHash(string $secret): string
    {
        return hash('sha256', $secret);
    }

    /** The address that messages of theirs are sent from: their own, where programs that send can take it. */
    public function sendsFrom(): string
    {
        return filter_var($this->email, FILTER_VALIDATE_EMAIL) !== false ? $this->email : self::NO_REPLY;
    }

    /** Begins a session of theirs, of the generation of today. */
    public function beginSession(Request $request, UserSession $session): void
    {
        $request->session()->put([self::GENERATION => $this->session_generation, self::SESSION => $session->id]);
    }

    /** Whether the request has no session, or one that is not over. One that is used is noted to be, every few minutes. */
    public function hasSession(Request $request): bool
    {
        if (! $request->hasSession()) {
            return true;
        }
        if ((int) $request->session()->get(self::GENERATION, 0) !== $this->session_generation) {
            return false;
        }
        $id = self::sessionOf($request);
        // Sessions from before they were kept have no number.
        $session = $id === null ? null : UserSession::query()->where('user_id', $this->id)->find($id);
        if ($session?->used_at->lt(now()->subSeconds(self::NOTED_EVERY_S)) === true) {
            rescue(fn () => $session->update(['used_at' => now(), 'address' => (string) $request->ip()]), report: false);
        }

        return $id === null || $session !== null;
    }

    /** The number of the session that a request comes from. */
    public static function sessionOf(Request $request): ?int
    {
        $id = $request->hasSession() ? $request->session()->get(self::SESSION) : null;

        return is_int($id) ? $id : null;
    }

    /** Whether they came by the password, or with a token that opens all that they may do. */
    public function mayUseAll(): bool
    {
        /** @var HasAbilities|null $token */
        $token = $this->currentAccessToken();

        return $token === null || $token->can('*');
    }
}
