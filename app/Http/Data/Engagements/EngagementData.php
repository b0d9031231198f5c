<?php

declare(strict_types=1);

namespace App\Http\Data\Engagements;

use App\Http\Data\Files\FileData;
use App\Http\Data\Ledger\DocumentRowData;
use App\Http\Data\Notes\LogEntryData;
use App\Http\Data\Records\ArchiveData;
use App\Http\Data\Records\ChangeData;
use App\Http\Data\Records\DetailsData;
use App\Http\Data\Reminders\ReminderData;
use OpenApi\Attributes as OA;

/** A whole case or project, with what the program works out from it. */
#[OA\Schema(schema: 'Engagement')]
final readonly class EngagementData
{
    /**
     * @param list<LogEntryData> $pinned
     * @param list<StageMoveData> $moves
     * @param list<EngagementPartyData> $parties
     * @param list<string> $todo
     * @param list<EngagementTieData> $links
     * @param list<EngagementFiguresData> $figures
     * @param list<DocumentRowData> $documents
     * @param list<FileData> $files
     * @param list<ReminderData> $reminders
     */
    public function __construct(
        #[OA\Property(ref: '#/components/schemas/EngagementRow')]
        public EngagementRowData $row,
        #[OA\Property(ref: '#/components/schemas/EngagementHead')]
        public EngagementHeadData $head,
        #[OA\Property(ref: '#/components/schemas/Archive', nullable: true)]
        public ?ArchiveData $archive,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/LogEntry'))]
        public array $pinned,
        #[OA\Property(
            description: 'How it came to where it stands, the earliest first.',
            items: new OA\Items(ref: '#/components/schemas/StageMove'),
        )]
        public array $moves,
        #[OA\Property]
        public int $partiesVersion,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/EngagementParty'))]
        public array $parties,
        #[OA\Property(description: 'What its roles still need.', items: new OA\Items(type: 'string'))]
        public array $todo,
        #[OA\Property(ref: '#/components/schemas/EngagementSite')]
        public EngagementSiteData $site,
        #[OA\Property(ref: '#/components/schemas/Details')]
        public DetailsData $details,
        #[OA\Property]
        public int $linksVersion,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/EngagementTie'))]
        public array $links,
        #[OA\Property(description: 'By currency; its own first.', items: new OA\Items(ref: '#/components/schemas/EngagementFigures'))]
        public array $figures,
        #[OA\Property(description: 'The newest of them.', items: new OA\Items(ref: '#/components/schemas/DocumentRow'))]
        public array $documents,
        #[OA\Property(description: 'How many there are.')]
        public int $documentCount,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/File'))]
        public array $files,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/Reminder'))]
        public array $reminders,
        #[OA\Property(ref: '#/components/schemas/Change', description: 'The latest.', nullable: true)]
        public ?ChangeData $lastChange,
    ) {
    }
}
