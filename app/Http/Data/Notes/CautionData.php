<?php

declare(strict_types=1);

namespace App\Http\Data\Notes;

use Almanac\Cautions\CautionLevel;
use Almanac\Cautions\CautionUse;
use App\Models\Caution;
use App\Models\User;
use OpenApi\Attributes as OA;

/** A caution in force today. */
#[OA\Schema(schema: 'Caution')]
final readonly class CautionData
{
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property(enum: CautionLevel::class)]
        public string $level,
        #[OA\Property(enum: CautionUse::class)]
        public string $use,
        #[OA\Property]
        public string $text,
        #[OA\Property]
        public string $periodText,
        #[OA\Property]
        public string $by,
        #[OA\Property(description: 'Whether whoever asks may lift it.')]
        public bool $mayLift,
    ) {
    }

    public static function of(Caution $caution, ?User $reader): self
    {
        return new self(
            $caution->id,
            $caution->level->value,
            $caution->use->value,
            $caution->text,
            $caution->value()->period->toText(),
            $caution->user->name,
            $reader !== null && $caution->mayBeLiftedBy($reader),
        );
    }
}
