<?php

declare(strict_types=1);

namespace App\Http\Data\Access;

use App\Models\SecondFactor;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use OpenApi\Attributes as OA;

/** The second factor of the user who is signed in. */
#[OA\Schema(schema: 'SecondFactor')]
final readonly class SecondFactorData
{
    private function __construct(
        #[OA\Property(description: 'Whether a code is asked for at sign-in.')]
        public bool $isOn,
        #[OA\Property(description: 'Whether the office requires it of the role of the user.')]
        public bool $isRequired,
        #[OA\Property(description: 'When it was set up, in UTC; null while it is off.', format: 'date-time', nullable: true)]
        public ?string $since,
        #[OA\Property(description: 'Recovery codes that were not used yet.')]
        public int $recoveryCodesLeft,
    ) {
    }

    public static function of(User $user): self
    {
        $factor = SecondFactor::of($user);

        return new self(
            $factor !== null,
            SecondFactor::isRequiredOf($user),
            $factor?->confirmed_at?->toIso8601String(),
            $factor === null ? 0 : DB::table('recovery_codes')->where('user_id', $user->id)->whereNull('used_at')->count(),
        );
    }
}
