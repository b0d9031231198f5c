<?php

declare(strict_types=1);

namespace App\Http\Data\Terms;

use Almanac\Terms\DuePart;
use Almanac\Terms\Outcome;
use Almanac\Terms\PaymentTerms;
use OpenApi\Attributes as OA;

/** Payment terms applied to a document of one date. */
#[OA\Schema(schema: 'TermsPreview')]
final readonly class TermsPreviewData
{
    /** @param  list<DuePartData>  $parts */
    private function __construct(
        #[OA\Property(description: 'The terms as the program writes them.')]
        public string $shorthand,
        #[OA\Property(format: 'date')]
        public string $documentDate,
        #[OA\Property]
        public string $documentDateText,
        #[OA\Property(description: 'By when everything is due.', format: 'date')]
        public string $due,
        #[OA\Property]
        public string $dueText,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/DuePart'))]
        public array $parts,
        #[OA\Property(ref: '#/components/schemas/DiscountOffer', nullable: true)]
        public ?DiscountOfferData $discount,
        #[OA\Property(description: 'How the date, or the dates, came about.')]
        public string $sentence,
    ) {
    }

    public static function of(PaymentTerms $terms, Outcome $outcome): self
    {
        return new self(
            $terms->toShorthand(),
            $outcome->documentDate->toIso(),
            $outcome->documentDate->toText(),
            $outcome->due()->toIso(),
            $outcome->due()->toTextWithWeekday(),
            array_map(fn (DuePart $part) => DuePartData::of($part), $outcome->parts),
            $outcome->discount === null ? null : DiscountOfferData::of($outcome->discount),
            $outcome->sentence(),
        );
    }
}
