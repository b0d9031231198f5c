<?php

declare(strict_types=1);

namespace App\Http\Data\Access;

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
            $session->id, self::inWords($session->device), $session->address, $session->began_at->toIso8601String(),
            $session->used_at->toIso8601String(), $session->id === $current,
        );
    }

    /** Browser and system from a User-Agent (RFC 9110, 10.1.5); the names in it are common practice, no published source. */
    private static function inWords(string $agent): string
    {
        $browser = match (true) {
            str_contains($agent, 'Firefox/') => 'Firefox',
            str_contains($agent, 'Edg/') => 'Edge',
            str_contains($agent, 'Chrome/') => 'Chrome',
            str_contains($agent, 'Safari/') => 'Safari',
            default => 'Another browser',
        };
        $system = match (true) {
            str_contains($agent, 'Android') => 'Android',
            str_contains($agent, 'iPhone'), str_contains($agent, 'iPad') => 'iOS',
            str_contains($agent, 'Windows') => 'Windows',
            str_contains($agent, 'Mac OS X') => 'macOS',
            str_contains($agent, 'Linux') => 'Linux',
            default => '',
        };

        return $system === '' ? $browser : "$browser on $system";
    }
}
