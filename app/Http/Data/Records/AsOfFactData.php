<?php

declare(strict_types=1);

namespace App\Http\Data\Records;

use Almanac\Records\ComparedFact;
use OpenApi\Attributes as OA;

/** One thing that a section said on two days. */
#[OA\Schema(schema: 'AsOfFact')]
final readonly class AsOfFactData
{
    private function __construct(
        #[OA\Property]
        public string $key,
        #[OA\Property]
        public string $label,
        #[OA\Property(description: 'Empty where it was not there.')]
        public string $then,
        #[OA\Property(description: 'Empty where it is not there on the other day.')]
        public string $other,
        #[OA\Property]
        public bool $isDifferent,
    ) {
    }

    public static function of(ComparedFact $fact): self
    {
        return new self($fact->key, $fact->label, $fact->then, $fact->other, $fact->isDifferent());
    }
}
