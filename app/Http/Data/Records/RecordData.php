<?php

declare(strict_types=1);

namespace App\Http\Data\Records;

use App\Http\Data\Banking\BankData;
use App\Http\Data\Files\FileData;
use App\Http\Data\Ledger\RecordDocumentsData;
use App\Http\Data\Ledger\StandingData;
use App\Http\Data\Merging\MadeFromData;
use App\Http\Data\Notes\CautionData;
use App\Http\Data\Notes\LogEntryData;
use App\Http\Data\Readiness\ReadinessData;
use App\Http\Data\Reminders\ReminderData;
use OpenApi\Attributes as OA;

/** A whole record, section by section. */
#[OA\Schema(schema: 'Record')]
final readonly class RecordData
{
    /**
     * @param list<CautionData> $cautions
     * @param list<LogEntryData> $pinned
     * @param list<FileData> $files
     * @param list<ReminderData> $reminders
     * @param list<ReadinessData> $readiness
     * @param list<MadeFromData> $madeFrom
     */
    public function __construct(
        #[OA\Property(ref: '#/components/schemas/PartyRow')]
        public PartyRowData $party,
        #[OA\Property(ref: '#/components/schemas/Archive', nullable: true)]
        public ?ArchiveData $archive,
        #[OA\Property(description: 'In force today, stops first.', items: new OA\Items(ref: '#/components/schemas/Caution'))]
        public array $cautions,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/LogEntry'))] public array $pinned,
        #[OA\Property(ref: '#/components/schemas/Identity')] public IdentityData $identity,
        #[OA\Property(ref: '#/components/schemas/Reach')] public ReachData $reach,
        #[OA\Property(ref: '#/components/schemas/Addresses')] public AddressesData $addresses,
        #[OA\Property(ref: '#/components/schemas/Positions')] public PositionsData $positions,
        #[OA\Property(ref: '#/components/schemas/Relations')] public RelationsData $relations,
        #[OA\Property(ref: '#/components/schemas/Classification')] public ClassificationData $classification,
        #[OA\Property(ref: '#/components/schemas/Details')] public DetailsData $details,
        #[OA\Property(ref: '#/components/schemas/TaxNumbers')] public TaxNumbersData $taxNumbers,
        #[OA\Property(ref: '#/components/schemas/SideTerms')] public SideTermsData $clientTerms,
        #[OA\Property(ref: '#/components/schemas/SideTerms')] public SideTermsData $vendorTerms,
        #[OA\Property(ref: '#/components/schemas/Bank')] public BankData $bank,
        #[OA\Property(ref: '#/components/schemas/RecordDocuments')] public RecordDocumentsData $documents,
        #[OA\Property(ref: '#/components/schemas/Standing')] public StandingData $standing,
        #[OA\Property(description: 'The newest first.', items: new OA\Items(ref: '#/components/schemas/File'))] public array $files,
        #[
            OA\Property(
                description: 'Those that are not done, the earliest first.',
                items: new OA\Items(ref: '#/components/schemas/Reminder'),
            ),
        ]
        public array $reminders,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/Readiness'))]
        public array $readiness,
        #[OA\Property(ref: '#/components/schemas/Letter')]
        public LetterData $letter,
        #[OA\Property(ref: '#/components/schemas/Change', nullable: true)]
        public ?ChangeData $lastChange,
        #[OA\Property(description: 'Since when it is in the book, and by whom.', ref: '#/components/schemas/Happening', nullable: true)]
        public ?HappeningData $added,
        #[OA\Property(description: 'What happened with it last.', ref: '#/components/schemas/Happening', nullable: true)]
        public ?HappeningData $lastHappening,
        #[OA\Property(description: 'What it was made one from.', items: new OA\Items(ref: '#/components/schemas/MadeFrom'))]
        public array $madeFrom,
    ) {
    }
}
