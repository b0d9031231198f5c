<?php

declare(strict_types=1);

namespace App\Http\Data\Office;

use App\Models\User;
use OpenApi\Attributes as OA;

/** Somebody at the office, to be chosen. */
#[OA\Schema(schema: 'Colleague')]
final readonly class ColleagueData
{
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $name,
    ) {
    }

    public static function of(User $user): self
    {
        return new self($user->id, $user->name);
    }

    public static function orNull(?User $user): ?self
    {
        return $user === null ? null : self::of($user);
    }
}
