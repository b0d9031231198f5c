<?php

declare(strict_types=1);

namespace App\Http\Data\Books;

use Almanac\Terms\Side;
use App\Models\TaxRate;
use OpenApi\Attributes as OA;

/** A rate of tax, for a time. */
#[OA\Schema(schema: 'TaxRate')]
final readonly class TaxRateData
{
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $name,
        #[OA\Property(description: 'As in 19.')]
        public string $percent,
        #[OA\Property(enum: Side::class)]
        public string $side,
        #[OA\Property(description: 'To be changed; empty for no beginning.')]
        public string $since,
        #[OA\Property]
        public string $until,
        #[OA\Property(description: 'For reading: name, percent and time.')]
        public string $text,
        #[OA\Property]
        public bool $isRetired,
    ) {
    }

    public static function of(TaxRate $kept): self
    {
        return new self(
            $kept->id,
            $kept->name,
            (string) $kept->rate(),
            $kept->side->value,
            $kept->since?->toIso() ?? '',
            $kept->until?->toIso() ?? '',
            trim($kept->name.', '.$kept->rate()->toText().' '.$kept->period()->toText()),
            $kept->is_retired,
        );
    }
}
