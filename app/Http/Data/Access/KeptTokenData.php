<?php

declare(strict_types=1);

namespace App\Http\Data\Access;

use Almanac\Access\TokenUse;
use App\Models\Office;
use App\Models\User;
use Laravel\Sanctum\PersonalAccessToken;
use OpenApi\Attributes as OA;

/** A token for a script: all but the token itself. */
#[OA\Schema(schema: 'KeptToken')]
final readonly class KeptTokenData
{
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property(description: 'What it is for.')]
        public string $name,
        #[OA\Property(description: 'What it opens, in words.')]
        public string $opens,
        #[OA\Property(description: 'Whose it is.')]
        public string $userName,
        #[OA\Property]
        public bool $isMine,
        #[OA\Property(description: 'For reading.')]
        public string $madeText,
        #[OA\Property(description: 'For reading; empty while it has not been used.')]
        public string $usedText,
        #[OA\Property(description: 'Its last day, for reading.')]
        public string $endsText,
        #[OA\Property]
        public bool $hasEnded,
    ) {
    }

    public static function of(PersonalAccessToken $token, User $reader): self
    {
        $owner = $token->tokenable;

        return new self(
            (int) $token->getKey(), $token->name, ($token->can('*') ? TokenUse::Scripts : TokenUse::Cards)->title(),
            $owner instanceof User ? $owner->name : '', $token->tokenable_id === $reader->id,
            $token->created_at === null ? '' : Office::dayOf($token->created_at),
            $token->last_used_at === null ? '' : Office::dayOf($token->last_used_at),
            $token->expires_at === null ? '' : Office::dayOf($token->expires_at),
            $token->expires_at?->isPast() ?? false,
        );
    }
}
