<?php

declare(strict_types=1);

namespace App\Http\Data\Ledger;

use Almanac\Money\Money;
use OpenApi\Attributes as OA;

/** An exact amount. */
#[OA\Schema(schema: 'Money')]
final readonly class MoneyData
{
    private function __construct(
        #[OA\Property(description: 'As in 1250.00.')]
        public string $amount,
        #[OA\Property(description: 'ISO 4217.')]
        public string $currency,
        #[OA\Property(description: 'For reading, as in 1,250.00.')]
        public string $text,
        #[OA\Property(description: 'Whether it is below zero, zero, or above.', enum: [-1, 0, 1])]
        public int $sign,
    ) {
    }

    public static function of(Money $money): self
    {
        return new self($money->toDecimal(), $money->currency, $money->figures(), $money->minor <=> 0);
    }

    public static function orNull(?Money $money): ?self
    {
        return $money === null ? null : self::of($money);
    }
}
