<?php

declare(strict_types=1);

namespace App\Http\Data\Meetings;

use Almanac\Calendar\Day;
use App\Http\Data\Records\SubjectLinkData;
use App\Models\Meeting;
use OpenApi\Attributes as OA;

/** A meeting in a list. */
#[OA\Schema(schema: 'MeetingRow')]
final readonly class MeetingRowData
{
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $title,
        #[OA\Property(description: 'When and where, for reading.')]
        public string $whenText,
        #[OA\Property(ref: '#/components/schemas/SubjectLink')]
        public SubjectLinkData $subject,
        #[OA\Property(description: 'Whether its day has passed and nothing is written of it.')]
        public bool $isToBeWritten,
    ) {
    }

    public static function of(Meeting $meeting, Day $today): self
    {
        return new self(
            $meeting->id,
            $meeting->title,
            $meeting->when()->toText(),
            SubjectLinkData::of($meeting->subject()),
            $meeting->held_on->isBefore($today),
        );
    }
}
