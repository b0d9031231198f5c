<?php

declare(strict_types=1);

namespace App\Http\Data\Ledger;

use Almanac\Ledger\DaysToPay;
use OpenApi\Attributes as OA;

/** How long documents took to be paid. */
#[OA\Schema(schema: 'DaysToPay')]
final readonly class DaysToPayData
{
    private function __construct(
        #[OA\Property(description: 'Days from the date of the document, to one decimal.')]
        public string $days,
        #[OA\Property(description: 'Days beyond the terms.')]
        public string $beyond,
        #[OA\Property]
        public string $sentence,
    ) {
    }

    public static function orNull(?DaysToPay $days): ?self
    {
        return $days === null ? null : new self($days->days, $days->beyond, $days->sentence());
    }
}
