<?php

declare(strict_types=1);

namespace App\Http\Data\Merging;

use Almanac\Merging\Offer;
use App\Actions\Merging\PlannedValue;
use OpenApi\Attributes as OA;

/** A single value of the record that several become, and what each of them says. */
#[OA\Schema(schema: 'MergeValue')]
final readonly class MergeValueData
{
    /** @param  list<MergeOfferData>  $offers */
    private function __construct(
        #[OA\Property(description: 'Its section and key.')]
        public string $part,
        #[OA\Property]
        public string $title,
        #[OA\Property(
            description: 'What each says, that of the record that stays first.',
            items: new OA\Items(ref: '#/components/schemas/MergeOffer'),
        )]
        public array $offers,
        #[OA\Property(description: 'Whose value is taken: the first that says it.')]
        public int $chosenId,
        #[OA\Property(description: 'For reading.')]
        public string $text,
        #[OA\Property(description: 'Whose value is proposed.')]
        public int $proposedId,
        #[OA\Property(description: 'Why that is proposed, in words.')]
        public string $why,
        #[OA\Property(description: 'Whether they do not all say the same.')]
        public bool $isOpen,
    ) {
    }

    public static function of(PlannedValue $value): self
    {
        return new self(
            $value->part,
            $value->title,
            array_map(fn (Offer $one) => new MergeOfferData($one->partyId, $one->text, self::first($value, $one)), $value->offers),
            self::first($value, $value->chosen),
            $value->chosen->text,
            self::first($value, $value->proposed),
            $value->why->words($value->proposed->changedOn?->toText() ?? ''),
            $value->isOpen(),
        );
    }

    /** The first record that says the same. */
    private static function first(PlannedValue $value, Offer $offer): int
    {
        foreach ($value->offers as $one) {
            if ($one->value === $offer->value) {
                return $one->partyId;
            }
        }

        return $offer->partyId;
    }
}
