<?php

declare(strict_types=1);

namespace App\Http\Data\Today;

use App\Http\Data\Engagements\EngagementRowData;
use App\Http\Data\Files\FileData;
use App\Http\Data\Ledger\DocumentRowData;
use App\Http\Data\Ledger\MoneyData;
use App\Http\Data\Meetings\MeetingRowData;
use App\Http\Data\Readiness\GapRowData;
use App\Http\Data\Records\PartyLinkData;
use App\Http\Data\Reminders\ReminderData;
use OpenApi\Attributes as OA;

/** What needs doing, for whoever asks. */
#[OA\Schema(schema: 'Today')]
final readonly class TodayData
{
    /**
     * @param list<ReminderData> $due
     * @param list<ReminderData> $soon
     * @param list<MeetingRowData> $meetings
     * @param list<TouchedData> $mine
     * @param list<TouchedData> $everybodys
     * @param list<EndingCautionData> $cautions
     * @param list<FileData> $files
     * @param list<GapRowData> $gaps
     * @param list<DocumentRowData> $dueThisWeek
     * @param list<DocumentRowData> $newlyOverdue
     * @param list<PartyLinkData> $overLimit
     * @param list<EngagementRowData> $toBeDecided
     * @param list<EngagementRowData> $standingTooLong
     * @param list<MoneyData> $weighed
     */
    public function __construct(
        #[OA\Property(description: 'The day, for reading.')]
        public string $dayText,
        #[OA\Property(description: 'What is wrong with the nightly backups and what to do, for administrators; empty when nothing is.')]
        public string $backupProblem,
        #[OA\Property(description: 'Reminders whose day has come.', items: new OA\Items(ref: '#/components/schemas/Reminder'))]
        public array $due,
        #[OA\Property(description: 'Reminders of the next seven days.', items: new OA\Items(ref: '#/components/schemas/Reminder'))]
        public array $soon,
        #[OA\Property(
            description: 'Meetings that I come to within seven days, and those of the last two weeks of which nothing is written.',
            items: new OA\Items(ref: '#/components/schemas/MeetingRow'),
        )]
        public array $meetings,
        #[OA\Property(description: 'Records that I touched lately.', items: new OA\Items(ref: '#/components/schemas/Touched'))]
        public array $mine,
        #[OA\Property(description: 'Records that anybody touched lately.', items: new OA\Items(ref: '#/components/schemas/Touched'))]
        public array $everybodys,
        #[OA\Property(description: 'Cautions that end within two weeks.', items: new OA\Items(ref: '#/components/schemas/EndingCaution'))]
        public array $cautions,
        #[OA\Property(description: 'Files that expire within two months, or have.', items: new OA\Items(ref: '#/components/schemas/File'))]
        public array $files,
        #[
            OA\Property(
                description: 'The records that I look after with the most gaps.',
                items: new OA\Items(ref: '#/components/schemas/GapRow'),
            ),
        ]
        public array $gaps,
        #[OA\Property(description: 'How many records that I look after have gaps.')] public int $gapCount,
        #[
            OA\Property(
                description: 'Open documents of both sides that are due within seven days.',
                items: new OA\Items(ref: '#/components/schemas/DocumentRow'),
            ),
        ]
        public array $dueThisWeek,
        #[
            OA\Property(
                description: 'Invoices that have become overdue within seven days.',
                items: new OA\Items(ref: '#/components/schemas/DocumentRow'),
            ),
        ]
        public array $newlyOverdue,
        #[OA\Property(description: 'Clients over their credit limit.', items: new OA\Items(ref: '#/components/schemas/PartyLink'))]
        public array $overLimit,
        #[OA\Property(
            description: 'Enquiries that are to be decided within a week, or were.',
            items: new OA\Items(ref: '#/components/schemas/EngagementRow'),
        )]
        public array $toBeDecided,
        #[OA\Property(
            description: 'Cases and projects that have stood in their stage too long.',
            items: new OA\Items(ref: '#/components/schemas/EngagementRow'),
        )]
        public array $standingTooLong,
        #[OA\Property(
            description: 'What all enquiries come to by their chances, by currency.',
            items: new OA\Items(ref: '#/components/schemas/Money'),
        )]
        public array $weighed,
    ) {
    }
}
