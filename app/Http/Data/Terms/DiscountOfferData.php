<?php

declare(strict_types=1);

namespace App\Http\Data\Terms;

use Almanac\Terms\DiscountOffer;
use OpenApi\Attributes as OA;

/** A discount for early payment, as it stands for one document. */
#[OA\Schema(schema: 'DiscountOffer')]
final readonly class DiscountOfferData
{
    private function __construct(
        #[OA\Property(description: 'As in "2%".')]
        public string $percent,
        #[OA\Property(format: 'date')]
        public string $lastDay,
        #[OA\Property]
        public string $lastDayText,
        #[OA\Property(description: 'Percent a year on 365 days, as in "37.24"; null when waiting gains no time.', nullable: true)]
        public ?string $costPerYear,
        #[OA\Property]
        public string $sentence,
    ) {
    }

    public static function of(DiscountOffer $offer): self
    {
        return new self(
            $offer->percent->toText(),
            $offer->lastDay->toIso(),
            $offer->lastDay->toText(),
            $offer->costPerYear()?->__toString(),
            $offer->sentence(),
        );
    }
}
