<?php

declare(strict_types=1);

namespace App\Actions\Access;

use Almanac\Access\RecoveryCodes;
use Almanac\Access\Totp;
use App\Models\SecondFactor;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Sets up, checks and removes a user's second factor. */
final readonly class KeepSecondFactor
{
    public function __construct(private KeepAccess $access)
    {
    }

    /** A new secret, which counts when a first code has shown that the app has it. */
    public function begin(User $user): Totp
    {
        return DB::transaction(function () use ($user): Totp {
            if (SecondFactor::of($user) !== null) {
                throw ValidationException::withMessages(['password' => 'Your second factor is on. Turn it off first.']);
            }
            $totp = Totp::withNewSecret();
            SecondFactor::query()->updateOrCreate(['user_id' => $user->id], ['secret' => $totp->secret(), 'used_step' => null]);

            return $totp;
        });
    }

    /**
     * @return list<string> recovery codes, shown this once
     *
     * @throws ValidationException when the code is wrong
     */
    public function confirm(User $user, #[\SensitiveParameter] string $code): array
    {
        return DB::transaction(function () use ($user, $code): array {
            $factor = SecondFactor::query()->where('user_id', $user->id)->whereNull('confirmed_at')->first()
                ?? throw ValidationException::withMessages(['code' => 'Start again with Set up second factor.']);
            $this->take($factor, $code) || throw self::wrong();
            $factor->confirmed_at = now();
            $factor->save();

            return $this->newRecoveryCodes($user);
        });
    }

    /**
     * Takes a code of the app, or a recovery code, once; of twenty at once, one.
     *
     * @throws ValidationException when the code is wrong or was used
     */
    public function check(User $user, #[\SensitiveParameter] string $code): void
    {
        DB::transaction(function () use ($user, $code): void {
            $factor = SecondFactor::of($user);
            $isGood = $factor !== null && ($this->take($factor, $code) || DB::table('recovery_codes')
                ->where(['user_id' => $user->id, 'hash' => RecoveryCodes::hash($code)])->whereNull('used_at')->update(['used_at' => now()]) === 1);
            $isGood || throw self::wrong();
        });
    }

    /** @return list<string> shown this once; earlier ones are worth nothing */
    public function newRecoveryCodes(User $user): array
    {
        return DB::transaction(function () use ($user): array {
            SecondFactor::of($user) ?? throw ValidationException::withMessages(['code' => 'Your second factor is off. Set it up first.']);
            DB::table('recovery_codes')->where('user_id', $user->id)->delete();
            $codes = RecoveryCodes::make();
            DB::table('recovery_codes')->insert(array_map(fn (string $code) => ['user_id' => $user->id, 'hash' => RecoveryCodes::hash($code)], $codes));

            return $codes;
        });
    }

    public function remove(User $user): void
    {
        DB::transaction(function () use ($user): void {
            SecondFactor::query()->where('user_id', $user->id)->delete();
            DB::table('recovery_codes')->where('user_id', $user->id)->delete();
            DB::table('known_devices')->where('user_id', $user->id)->delete();
        });
    }

    /** For a user who lost the phone and the recovery codes: their sessions end, too. */
    public function reset(User $user): void
    {
        DB::transaction(function () use ($user): void {
            $this->remove($user);
            $this->access->endSessions($user);
        });
    }

    private function take(SecondFactor $factor, #[\SensitiveParameter] string $code): bool
    {
        $step = Totp::withSecret($factor->secret)->stepOf($code, now()->getTimestamp(), $factor->used_step);
        if ($step === null) {
            return false;
        }
        $factor->used_step = $step;
        $factor->save();

        return true;
    }

    private static function wrong(): ValidationException
    {
        return ValidationException::withMessages([
            'code' => 'That code is wrong, old or already used. Enter the code that your app shows now, or a recovery code.',
        ]);
    }
}
