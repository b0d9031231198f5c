<?php

declare(strict_types=1);

namespace App\Http\Data\Merging;

use App\Actions\Merging\ApartItem;
use OpenApi\Attributes as OA;

/** Something that came while records were one, and to whom it goes. */
#[OA\Schema(schema: 'ApartItem')]
final readonly class ApartItemData
{
    private function __construct(
        #[OA\Property]
        public string $item,
        #[OA\Property(description: 'As a heading.')]
        public string $kind,
        #[OA\Property]
        public string $text,
        #[OA\Property]
        public int $partyId,
        #[OA\Property(description: 'Whether it goes with something that is theirs already.')]
        public bool $isFixed,
        #[OA\Property]
        public string $note,
    ) {
    }

    public static function of(ApartItem $one): self
    {
        return new self($one->key, $one->kind, $one->text, $one->partyId, $one->isFixed, $one->note);
    }
}
