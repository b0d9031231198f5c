<?php

declare(strict_types=1);

namespace App\Http\Data\Reminders;

use App\Http\Data\Records\SubjectLinkData;
use App\Models\Reminder;
use Carbon\CarbonImmutable;
use OpenApi\Attributes as OA;

/** Something to do at a time, for a record. */
#[OA\Schema(schema: 'Reminder')]
final readonly class ReminderData
{
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $text,
        #[OA\Property(ref: '#/components/schemas/SubjectLink')]
        public SubjectLinkData $about,
        #[OA\Property(description: 'For whom.')]
        public string $for,
        #[OA\Property(description: 'Who set it.')]
        public string $by,
        #[OA\Property(format: 'date')]
        public string $day,
        #[OA\Property(description: 'For reading: Wed 25 Nov 2026, 09:00.')]
        public string $whenText,
        #[OA\Property(description: 'For reading; empty for once.')]
        public string $repeatText,
        #[OA\Property(description: 'Its time has come.')]
        public bool $isDue,
    ) {
    }

    public static function of(Reminder $reminder, CarbonImmutable $now): self
    {
        return new self(
            $reminder->id,
            $reminder->text,
            SubjectLinkData::of($reminder->subject()),
            $reminder->user->name,
            $reminder->by->name,
            $reminder->due_on->toIso(),
            $reminder->due_on->toTextWithWeekday().', '.$reminder->time,
            $reminder->recurrence()?->toText() ?? '',
            $reminder->due_on->toIso().' '.$reminder->time <= $now->format('Y-m-d H:i'),
        );
    }
}
