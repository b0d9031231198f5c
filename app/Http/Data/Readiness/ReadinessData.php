<?php

declare(strict_types=1);

namespace App\Http\Data\Readiness;

use Almanac\Readiness\Purpose;
use Almanac\Readiness\Readiness;
use OpenApi\Attributes as OA;

/** What a record still lacks for one purpose. */
#[OA\Schema(schema: 'Readiness')]
final readonly class ReadinessData
{
    /** @param  list<CheckData>  $checks */
    private function __construct(
        #[OA\Property(enum: Purpose::class)]
        public string $purpose,
        #[OA\Property(description: 'As in "to bill".')]
        public string $words,
        #[OA\Property]
        public int $passed,
        #[OA\Property]
        public int $applicable,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/Check'))]
        public array $checks,
    ) {
    }

    public static function of(Readiness $readiness): self
    {
        return new self(
            $readiness->purpose->value,
            $readiness->purpose->words(),
            $readiness->passed(),
            count($readiness->checks),
            array_map(CheckData::of(...), $readiness->checks),
        );
    }
}
