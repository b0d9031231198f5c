<?php

declare(strict_types=1);

namespace App\Http\Data\Engagements;

use App\Models\EngagementRole;
use OpenApi\Attributes as OA;

/** What a party can be to a case or a project of a kind. */
#[OA\Schema(schema: 'EngagementRole')]
final readonly class RoleData
{
    /** @param  list<string>  $opposes */
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $name,
        #[OA\Property(description: 'How many it needs.')]
        public int $least,
        #[OA\Property(description: 'How many it may have; null for any number.', nullable: true)]
        public ?int $most,
        #[OA\Property(description: 'It is done for whoever has it.')]
        public bool $isClient,
        #[OA\Property(description: 'Roles that stand against it.', items: new OA\Items(type: 'string'))]
        public array $opposes,
        #[OA\Property]
        public bool $isRetired,
    ) {
    }

    public static function of(EngagementRole $role): self
    {
        return new self(
            $role->id,
            $role->name,
            $role->least,
            $role->most,
            $role->is_client,
            array_values($role->opposed->map(fn (EngagementRole $other) => $other->name)->all()),
            $role->is_retired,
        );
    }
}
