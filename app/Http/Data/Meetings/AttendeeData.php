<?php

declare(strict_types=1);

namespace App\Http\Data\Meetings;

use App\Facts\Records\Recipients;
use App\Models\Party;
use App\Models\User;
use OpenApi\Attributes as OA;

/** Somebody who comes to a meeting. */
#[OA\Schema(schema: 'Attendee')]
final readonly class AttendeeData
{
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $name,
        #[OA\Property(description: 'Where they are invited; empty where that cannot be.')]
        public string $email,
    ) {
    }

    public static function party(Party $party): self
    {
        return new self($party->id, $party->display_name, Recipients::primary($party) ?? '');
    }

    public static function user(User $user): self
    {
        return new self($user->id, $user->name, $user->email);
    }
}
