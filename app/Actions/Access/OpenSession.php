<?php

declare(strict_types=1);

namespace App\Actions\Access;

use App\Models\SecondFactor;
use App\Models\User;
use App\Models\UserSession;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Http\Exceptions\ThrottleRequestsException;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Cookie;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/**
 * From a right password to a session: at once, or after a code where the user has a second factor and the device isn't known.
 *
 * Source: NIST SP 800-63B, 4.3.1 (two factors), 7.2 (again after a while).
 */
final readonly class OpenSession
{
    private const PENDING = 'second factor of';

    /** After the password, a code may take so long. */
    private const PENDING_S = 600;

    private const PROVED = 'second factor at';

    /** For so long what is delicate is not asked for again. */
    private const PROVED_S = 600;

    private const DEVICE = 'almanac_device';

    private const DEVICE_DAYS = 30;

    public function __construct(private KeepSecondFactor $factors)
    {
    }

    /** @return bool whether the session is open; false while a code is missing */
    public function afterPassword(Request $request, User $user): bool
    {
        if (SecondFactor::of($user) !== null && ! $this->isKnown($request, $user)) {
            $request->session()->regenerate();
            $request->session()->put(self::PENDING, [$user->id, $user->session_generation, now()->getTimestamp()]);

            return false;
        }
        $this->open($request, $user);

        return true;
    }

    /**
     * @throws AuthenticationException when no password came before, or too long ago
     * @throws ValidationException when the code is wrong
     * @throws ThrottleRequestsException after too many tries
     */
    public function afterCode(Request $request, #[\SensitiveParameter] string $code, bool $remembers): User
    {
        $pending = $request->session()->get(self::PENDING);
        $user = is_array($pending) && $pending[2] > now()->getTimestamp() - self::PENDING_S ? User::query()->find($pending[0]) : null;
        if (! $user instanceof User || $user->isRetired() || $user->session_generation !== $pending[1]) {
            throw new AuthenticationException;
        }
        $this->check($user, $code, (string) $request->ip());
        $request->session()->forget(self::PENDING);
        if ($remembers) {
            $this->remember($user);
        }
        $this->open($request, $user);
        $this->noteProof($request);

        return $user;
    }

    /** Proves anew who is there, before something delicate. */
    public function prove(Request $request, User $user, #[\SensitiveParameter] string $code): void
    {
        $this->check($user, $code, (string) $request->ip());
        $this->noteProof($request);
    }

    /** Whether something delicate may be done: without a second factor always, otherwise soon after a code. */
    public function isProved(Request $request, User $user): bool
    {
        return SecondFactor::of($user) === null
            || $request->hasSession() && (int) $request->session()->get(self::PROVED, 0) > now()->getTimestamp() - self::PROVED_S;
    }

    /** The first session of a user who has just set up the office, and every other. */
    public function open(Request $request, User $user): void
    {
        Auth::guard('web')->login($user);
        $request->session()->regenerate();
        UserSession::query()->where('used_at', '<', UserSession::oldest())->delete();
        $session = UserSession::query()->create([
            'user_id' => $user->id, 'device' => mb_strcut(mb_scrub((string) $request->userAgent()), 0, 100), 'address' => (string) $request->ip(),
            'began_at' => now(), 'used_at' => now(),
        ]);
        $user->beginSession($request, $session);
    }

    /** A code that is checked counts as an attempt to sign in. */
    public function check(User $user, #[\SensitiveParameter] string $code, string $from): void
    {
        $attempts = new Attempts("code $user->email", $from);
        $attempts->mustBeAllowed();
        try {
            $this->factors->check($user, $code);
        } catch (ValidationException $wrong) {
            $attempts->failed();
            throw $wrong;
        }
        $attempts->succeeded();
    }

    private function noteProof(Request $request): void
    {
        $request->session()->put(self::PROVED, now()->getTimestamp());
    }

    private function remember(User $user): void
    {
        $token = bin2hex(random_bytes(32));
        DB::table('known_devices')->where('ends_at', '<', now())->delete();
        DB::table('known_devices')->insert(['user_id' => $user->id, 'hash' => hash('sha256', $token), 'ends_at' => now()->addDays(self::DEVICE_DAYS)]);
        Cookie::queue(Cookie::make(self::DEVICE, $token, self::DEVICE_DAYS * 24 * 60, secure: config('session.secure') === true, sameSite: 'lax'));
    }

    private function isKnown(Request $request, User $user): bool
    {
        $token = $request->cookie(self::DEVICE);

        return is_string($token) && DB::table('known_devices')
            ->where(['user_id' => $user->id, 'hash' => hash('sha256', $token)])->where('ends_at', '>', now())->exists();
    }
}
