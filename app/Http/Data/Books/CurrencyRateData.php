<?php

declare(strict_types=1);

namespace App\Http\Data\Books;

use App\Models\CurrencyRate;
use App\Models\Office;
use OpenApi\Attributes as OA;

/** What a currency is worth from a day on. */
#[OA\Schema(schema: 'CurrencyRate')]
final readonly class CurrencyRateData
{
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $currency,
        #[OA\Property]
        public string $dayText,
        #[OA\Property(description: 'Units of the office’s own currency for one.')]
        public string $rate,
    ) {
    }

    public static function of(CurrencyRate $kept): self
    {
        return new self($kept->id, $kept->currency, $kept->quoted_on->toText(), Office::current()->decimalSign()->write($kept->rate));
    }
}
