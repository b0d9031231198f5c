<?php

declare(strict_types=1);

namespace App\Http\Data\Ledger;

use Almanac\Calendar\Day;
use Almanac\Ledger\DocumentKind;
use Almanac\Ledger\DocumentState;
use Almanac\Terms\Side;
use App\Http\Data\Records\PartyLinkData;
use App\Models\Document;
use OpenApi\Attributes as OA;

/** A document in a list. Load the party. */
#[OA\Schema(schema: 'DocumentRow')]
final readonly class DocumentRowData
{
    private function __construct(
        #[OA\Property] public int $id,
        #[OA\Property(enum: DocumentKind::class)]
        public string $kind,
        #[OA\Property(description: 'As in Credit note.')] public string $kindTitle,
        #[OA\Property(enum: Side::class)] public string $side,
        #[OA\Property(enum: DocumentState::class)] public string $state,
        #[OA\Property] public string $stateWords,
        #[OA\Property(description: 'Empty while it is a draft.')] public string $number,
        #[OA\Property(ref: '#/components/schemas/PartyLink')] public PartyLinkData $party,
        #[OA\Property] public string $dateText,
        #[OA\Property(description: 'Of what is still open; empty where nothing is due.')] public string $dueText,
        #[OA\Property(description: 'How many days past the due date; 0 when it is not.')] public int $daysLate,
        #[OA\Property(ref: '#/components/schemas/Money')] public MoneyData $total,
        #[
            OA\Property(
                description: 'What is open of it; in a list of what is due on certain days, what is due on them.',
                ref: '#/components/schemas/Money',
            ),
        ]
        public MoneyData $open,
        #[OA\Property(description: 'Without tax.', ref: '#/components/schemas/Money')]
        public MoneyData $net,
        #[OA\Property]
        public string $reference,
    ) {
    }

    public static function of(Document $document, Day $today): self
    {
        return new self(
            $document->id,
            $document->kind->value,
            $document->kind->title(),
            $document->kind->side()->value,
            $document->state->value,
            $document->state->words($document->kind),
            $document->shownNumber(),
            PartyLinkData::of($document->party),
            $document->dated_on->toText(),
            $document->dueInList()?->toText() ?? '',
            $document->daysLate($today),
            MoneyData::of($document->total()),
            MoneyData::of($document->openInList()),
            MoneyData::of($document->money($document->net_minor)),
            $document->reference,
        );
    }
}
