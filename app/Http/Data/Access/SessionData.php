<?php

declare(strict_types=1);

namespace App\Http\Data\Access;

use Almanac\Access\Permission;
use Almanac\Access\Role;
use App\Http\Data\Office\TitlesData;
use App\Models\Office;
use App\Models\SecondFactor;
use App\Models\User;
use OpenApi\Attributes as OA;

/** Who is signed in, and to which office. */
#[OA\Schema(schema: 'Session')]
final readonly class SessionData
{
    private function __construct(
        #[OA\Property(description: 'True while nobody can sign in yet, and the first administrator is asked for.')]
        public bool $needsSetup,
        #[OA\Property(nullable: true)]
        public ?int $userId,
        #[OA\Property(nullable: true)]
        public ?string $userName,
        #[OA\Property(nullable: true)]
        public ?string $userEmail,
        #[OA\Property(nullable: true, enum: Role::class)]
        public ?string $role,
        #[OA\Property]
        public bool $mayChangeRecords,
        #[OA\Property(description: 'Birth dates and secret details.')]
        public bool $maySeePrivate,
        #[OA\Property]
        public bool $mayRunOffice,
        #[OA\Property(nullable: true)]
        public ?string $officeName,
        #[OA\Property(nullable: true)]
        public ?string $officeCountry,
        #[OA\Property(description: 'ISO 4217; empty while nobody is signed in.')]
        public string $officeCurrency,
        #[OA\Property(description: 'The day that counts as today.', format: 'date')]
        public string $today,
        #[OA\Property(description: 'Of the IANA database: moments are told by it.')]
        public string $zone,
        #[OA\Property(ref: '#/components/schemas/Titles', description: 'Null while nobody is signed in.', nullable: true)]
        public ?TitlesData $titles,
        #[OA\Property(description: 'True after a right password, while the code of the second factor is missing.')]
        public bool $needsCode,
        #[OA\Property(description: 'True while the role requires a second factor that is not set up; everything else is refused until then.')]
        public bool $mustSetUpSecondFactor,
    ) {
    }

    public static function of(?User $user, ?Office $office, string $today, bool $needsCode = false): self
    {
        return new self(
            $office === null,
            $user?->id,
            $user?->name,
            $user?->email,
            $user?->role->value,
            $user?->can(Permission::ChangeRecords->value) ?? false,
            $user?->can(Permission::SeePrivate->value) ?? false,
            $user?->can(Permission::RunOffice->value) ?? false,
            $user === null ? null : $office?->name,
            $user === null ? null : $office?->country,
            $user === null ? '' : $office?->currency() ?? '',
            $today,
            $office?->zone()->getName() ?? 'UTC',
            $user === null || $office === null ? null : TitlesData::in($office->country, $office->ageing_by),
            $needsCode,
            $user !== null && SecondFactor::isMissingOf($user),
        );
    }
}
