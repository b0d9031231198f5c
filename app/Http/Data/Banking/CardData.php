<?php

declare(strict_types=1);

namespace App\Http\Data\Banking;

use App\Models\Card;
use OpenApi\Attributes as OA;

/** A payment card, of which only what may be shown is kept. */
#[OA\Schema(schema: 'Card')]
final readonly class CardData
{
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $brand,
        #[OA\Property]
        public string $lastFour,
        #[OA\Property(description: 'As in 04/2028.')]
        public string $expires,
        #[OA\Property]
        public bool $isExpired,
        #[OA\Property]
        public string $holder,
        #[OA\Property]
        public string $postcode,
    ) {
    }

    public static function of(Card $card, string $month): self
    {
        return new self(
            $card->id,
            $card->brand,
            $card->last_four,
            substr($card->expires, 5).'/'.substr($card->expires, 0, 4),
            $card->expires < $month,
            $card->holder,
            $card->postcode,
        );
    }
}
