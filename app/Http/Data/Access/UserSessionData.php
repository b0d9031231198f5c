<?php

declare(strict_types=1);

namespace App\Http\Data\Access;

use Almanac\Access\DeviceName;
use App\Models\UserSession;
use OpenApi\Attributes as OA;

/** A browser in which the user is signed in. */
#[OA\Schema(schema: 'UserSession')]
final readonly class UserSessionData
{
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property(description: 'Browser and system, in words.')]
        public string $device,
        #[OA\Property(description: 'Network address that it was last used from.')]
        public string $address,
        #[OA\Property(description: 'When it signed in, in UTC.', format: 'date-time')]
        public string $beganAt,
        #[OA\Property(description: 'When it was last used, to five minutes, in UTC.', format: 'date-time')]
        public string $usedAt,
        #[OA\Property(description: 'Whether the request comes from this one.')]
        public bool $isThis,
    ) {
    }

    public static function of(UserSession $session, ?int $current): self
    {
        return new self(
            $session->id, DeviceName::of($session->device), $session->address, $session->began_at->toIso8601String(),
            $session->used_at->toIso8601String(), $session->id === $current,
        );
    }
}
