<?php

declare(strict_types=1);

namespace App\Http\Data\Office;

use Almanac\Access\Role;
use App\Models\User;
use OpenApi\Attributes as OA;

/** Somebody who signs in. */
#[OA\Schema(schema: 'User')]
final readonly class UserData
{
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $name,
        #[OA\Property]
        public string $email,
        #[OA\Property(enum: Role::class)]
        public string $role,
        #[OA\Property(description: 'What it allows, in words.')]
        public string $may,
        #[OA\Property(description: 'No longer at the office: cannot sign in, and stays in the log.')]
        public bool $isRetired,
        #[OA\Property(description: 'Whether a code of an authenticator app is asked for at sign-in.')]
        public bool $hasSecondFactor,
    ) {
    }

    public static function of(User $user): self
    {
        $role = $user->role;
        $may = $user->isRetired() ? 'nothing; stays in the log' : $role->summary();

        return new self($user->id, $user->name, $user->email, $role->value, $may, $user->isRetired(), $user->secondFactor !== null);
    }
}
