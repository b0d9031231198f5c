<?php

declare(strict_types=1);

namespace App\Http\Data\Meetings;

use Almanac\Calendar\Day;
use Almanac\Ledger\DocumentKind;
use Almanac\Ledger\DocumentState;
use Almanac\Meetings\MeetingState;
use App\Facts\Ledger\DocumentFigures;
use App\Http\Data\Ledger\DocumentLinkData;
use App\Http\Data\Records\SubjectLinkData;
use App\Models\Document;
use App\Models\Meeting;
use App\Models\Party;
use App\Models\User;
use OpenApi\Attributes as OA;

/** A whole meeting. */
#[OA\Schema(schema: 'Meeting')]
final readonly class MeetingData
{
    /**
     * @param list<AttendeeData> $parties
     * @param list<AttendeeData> $users
     */
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public int $version,
        #[OA\Property(description: 'For whom or what it was arranged.', ref: '#/components/schemas/SubjectLink')]
        public SubjectLinkData $subject,
        #[OA\Property]
        public string $title,
        #[OA\Property(enum: MeetingState::class)]
        public string $state,
        #[OA\Property]
        public string $stateTitle,
        #[OA\Property(description: 'When and where, for reading.')]
        public string $whenText,
        #[OA\Property(description: 'As it is typed again.')]
        public string $day,
        #[OA\Property]
        public string $time,
        #[OA\Property]
        public int $minutes,
        #[OA\Property]
        public string $place,
        #[OA\Property]
        public string $agenda,
        #[OA\Property(description: 'What came of it.')]
        public string $outcome,
        #[OA\Property(description: 'Whether it can be written what came of it: not before the day.')]
        public bool $canConclude,
        #[OA\Property]
        public bool $isInvited,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/Attendee'))]
        public array $parties,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/Attendee'))]
        public array $users,
        #[OA\Property(ref: '#/components/schemas/DocumentLink', nullable: true)]
        public ?DocumentLinkData $document,
        #[OA\Property(description: 'Whether the document is a quote of which no order has been made yet, and one can be.')]
        public bool $canBecomeOrder,
        #[OA\Property(description: 'Who arranged it.')]
        public string $by,
    ) {
    }

    public static function of(Meeting $meeting, Day $today): self
    {
        $document = $meeting->document;

        return new self(
            $meeting->id,
            $meeting->version,
            SubjectLinkData::of($meeting->subject()),
            $meeting->title,
            $meeting->state->value,
            $meeting->state->title(),
            $meeting->when()->toText(),
            $meeting->held_on->toText(),
            $meeting->time,
            $meeting->minutes,
            $meeting->place,
            $meeting->agenda,
            $meeting->outcome,
            $meeting->state !== MeetingState::Cancelled && ! $meeting->held_on->isAfter($today),
            $meeting->is_invited,
            array_values($meeting->parties->map(fn (Party $party) => AttendeeData::party($party))->all()),
            array_values($meeting->users->map(fn (User $user) => AttendeeData::user($user))->all()),
            $document === null ? null : DocumentLinkData::of($document),
            $document !== null && self::canBecomeOrder($document),
            $meeting->user->name,
        );
    }

    private static function canBecomeOrder(Document $document): bool
    {
        $isMade = fn (Document $made) => $made->kind === DocumentKind::Order && $made->state !== DocumentState::Void;

        return in_array(DocumentKind::Order, DocumentFigures::canBecome($document), true) && ! $document->madeFromIt->contains($isMade);
    }
}
