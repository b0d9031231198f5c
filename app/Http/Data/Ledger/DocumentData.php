<?php

declare(strict_types=1);

namespace App\Http\Data\Ledger;

use Almanac\Ledger\DocumentKind;
use Almanac\Ledger\TaxTreatment;
use App\Http\Data\Engagements\EngagementLinkData;
use App\Http\Data\Terms\DiscountOfferData;
use OpenApi\Attributes as OA;

/** A whole document. */
#[OA\Schema(schema: 'Document')]
final readonly class DocumentData
{
    /**
     * @param list<DocumentLineData> $lines
     * @param list<DocumentLinkData> $madeFromIt
     * @param list<AllocationData> $allocations
     * @param list<DocumentEventData> $events
     * @param list<string> $canBecome
     */
    public function __construct(
        #[OA\Property(ref: '#/components/schemas/DocumentRow')]
        public DocumentRowData $row,
        #[OA\Property]
        public int $version,
        #[OA\Property(description: 'As the office writes dates, to be changed.')]
        public string $date,
        #[OA\Property(description: 'Only where it was set by hand.')]
        public string $due,
        #[OA\Property(description: 'How the due date came about; empty where none is.')]
        public string $dueSentence,
        #[OA\Property]
        public string $terms,
        #[OA\Property(enum: TaxTreatment::class)]
        public string $treatment,
        #[OA\Property]
        public string $currency,
        #[OA\Property]
        public string $note,
        #[OA\Property(ref: '#/components/schemas/EngagementLink', description: 'The case or project that it is for.', nullable: true)]
        public ?EngagementLinkData $engagement,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/DocumentLine'))]
        public array $lines,
        #[OA\Property(ref: '#/components/schemas/Totals')]
        public TotalsData $totals,
        #[OA\Property(description: 'For early payment.', ref: '#/components/schemas/DiscountOffer', nullable: true)]
        public ?DiscountOfferData $discount,
        #[OA\Property(ref: '#/components/schemas/PartyCopy')] public PartyCopyData $copy,
        #[
            OA\Property(
                description: 'What the details are now, where they are others.',
                ref: '#/components/schemas/PartyCopy',
                nullable: true,
            ),
        ]
        public ?PartyCopyData $copyNow,
        #[OA\Property(ref: '#/components/schemas/DocumentLink', nullable: true)]
        public ?DocumentLinkData $source,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/DocumentLink'))]
        public array $madeFromIt,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/Allocation'))]
        public array $allocations,
        #[OA\Property(description: 'The newest first.', items: new OA\Items(ref: '#/components/schemas/DocumentEvent'))]
        public array $events,
        #[
            OA\Property(
                description: 'Kinds that it can be turned into without typing it again.',
                items: new OA\Items(type: 'string', enum: DocumentKind::class),
            ),
        ]
        public array $canBecome,
        #[OA\Property(description: 'An issued quote, of which a new revision can be written.')]
        public bool $canBeRevised,
        #[OA\Property]
        public bool $canBeSent,
        #[OA\Property(description: 'Of a quote, to be changed; empty without one.')]
        public string $validUntil,
        #[OA\Property(description: 'For reading.')]
        public string $validUntilText,
        #[OA\Property(description: 'Its last day has passed.')]
        public bool $hasExpired,
        #[OA\Property(description: 'The revision before it.', ref: '#/components/schemas/DocumentLink', nullable: true)]
        public ?DocumentLinkData $replaces,
        #[OA\Property(description: 'The revision after it, a draft or issued.', ref: '#/components/schemas/DocumentLink', nullable: true)]
        public ?DocumentLinkData $replacedBy,
        #[
            OA\Property(
                description: 'Simple interest on what is late; null where none is asked for or nothing is late.',
                ref: '#/components/schemas/Money',
                nullable: true,
            ),
        ]
        public ?MoneyData $lateInterest,
        #[OA\Property(description: 'When it was last sent, for reading; empty when it was not.')]
        public string $sentText,
        #[
            OA\Property(
                description: 'Of one that was to be issued as it was written: why it is a draft; null else.',
                ref: '#/components/schemas/Against',
                nullable: true,
            ),
        ]
        public ?AgainstData $against = null,
    ) {
    }
}
