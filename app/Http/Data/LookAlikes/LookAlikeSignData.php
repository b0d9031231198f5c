<?php

declare(strict_types=1);

namespace App\Http\Data\LookAlikes;

use Almanac\LookAlikes\Sign;
use OpenApi\Attributes as OA;

/** One thing that speaks for two records being the same, or against it. */
#[OA\Schema(schema: 'LookAlikeSign')]
final readonly class LookAlikeSignData
{
    private function __construct(
        #[OA\Property]
        public string $words,
        #[OA\Property(description: 'How much it weighs, in bits; less than nothing speaks against.')]
        public float $bits,
    ) {
    }

    public static function of(Sign $sign, float $bits): self
    {
        return new self($sign->words(), $bits);
    }
}
