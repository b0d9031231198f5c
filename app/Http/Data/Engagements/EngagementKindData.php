<?php

declare(strict_types=1);

namespace App\Http\Data\Engagements;

use App\Models\EngagementKind;
use App\Models\EngagementRole;
use App\Models\EngagementStage;
use OpenApi\Attributes as OA;

/** What the firm calls one sort of what it does for others, with its stages and roles. */
#[OA\Schema(schema: 'EngagementKind')]
final readonly class EngagementKindData
{
    /**
     * @param list<StageData> $stages
     * @param list<RoleData> $roles
     */
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property(description: 'As in case.')]
        public string $name,
        #[OA\Property(description: 'As in cases.')]
        public string $plural,
        #[OA\Property(description: 'What its numbers begin with.')]
        public string $sign,
        #[OA\Property]
        public bool $isRetired,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/Stage'))]
        public array $stages,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/EngagementRole'))]
        public array $roles,
        #[OA\Property(description: 'How many there are.')]
        public int $uses,
    ) {
    }

    public static function of(EngagementKind $kind, int $uses): self
    {
        return new self(
            $kind->id,
            $kind->name,
            $kind->plural,
            $kind->sign,
            $kind->is_retired,
            array_values($kind->stages->map(fn (EngagementStage $stage) => StageData::of($stage))->all()),
            array_values($kind->roles->map(fn (EngagementRole $role) => RoleData::of($role))->all()),
            $uses,
        );
    }
}
