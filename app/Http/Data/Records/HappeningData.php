<?php

declare(strict_types=1);

namespace App\Http\Data\Records;

use Carbon\CarbonInterface;
use OpenApi\Attributes as OA;

/** Something that happened with a record. */
#[OA\Schema(schema: 'Happening')]
final readonly class HappeningData
{
    private function __construct(
        #[OA\Property(format: 'date-time')]
        public string $at,
        #[OA\Property(description: 'Empty where nobody is known.')]
        public string $by,
        #[OA\Property(description: 'As in Invoice I2026-0041: issued.')]
        public string $text,
    ) {
    }

    public static function of(CarbonInterface $at, string $by, string $text): self
    {
        return new self($at->toIso8601String(), $by, mb_strimwidth($text, 0, 160, '…'));
    }
}
