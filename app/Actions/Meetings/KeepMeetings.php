<?php

declare(strict_types=1);

namespace App\Actions\Meetings;

use Almanac\Calendar\TimeOfDay;
use Almanac\Engagements\EngagementRefused;
use Almanac\Meetings\Meeting as When;
use Almanac\Meetings\MeetingRefused;
use Almanac\Meetings\MeetingState;
use Almanac\Records\ArchivedRecord;
use Almanac\Records\Difference;
use Almanac\Records\LoggedFact;
use Almanac\Records\SectionName;
use Almanac\Records\StaleSave;
use Almanac\Records\Wording;
use App\Actions\Records\LogChanges;
use App\Facts\Records\Recipients;
use App\Models\Document;
use App\Models\Engagement;
use App\Models\Meeting;
use App\Models\Party;
use App\Models\SubjectModel;
use App\Models\User;
use App\Time\Clock;
use App\Time\TypedDates;
use App\Validation\FieldProblems;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/**
 * Arranges meetings, moves them and calls them off, and keeps what came of them. Whoever is invited is told each time;
 * what is told goes into the outbox with the save, or not at all.
 *
 * @phpstan-type MeetingInput array{
 *     title: string, day: string, time: string, minutes: int, place: string, agenda: string, partyIds: list<int>,
 *     userIds: list<int>, documentId: int|null, isInvited: bool,
 * }
 */
final readonly class KeepMeetings
{
    private const LONGEST_LINE = 200;

    private const LONGEST_TEXT = 5000;

    public function __construct(private TypedDates $dates, private Clock $clock, private LogChanges $log, private SendInvitations $send)
    {
    }

    /**
     * @param MeetingInput $input
     *
     * @throws ArchivedRecord when the subject is archived
     * @throws ValidationException with each refusal at its field
     */
    public function arrange(SubjectModel $subject, array $input, User $by): Meeting
    {
        return DB::transaction(function () use ($subject, $input, $by): Meeting {
            $subject->refresh()->assertInUse();
            $meeting = new Meeting(['subject_id' => $subject->id, 'user_id' => $by->id]);
            $this->fill($meeting, $subject, $input);
            $this->write($meeting, '', 'arranged: '.$this->told($meeting), $by);
            if ($meeting->is_invited) {
                $this->send->invite($meeting, $by);
            }

            return $meeting;
        });
    }

    /**
     * @param MeetingInput $input
     * @param int $version that the person who saves has seen
     *
     * @throws StaleSave when somebody else has saved it since
     * @throws MeetingRefused when it was held or called off
     * @throws ValidationException with each refusal at its field
     */
    public function change(Meeting $meeting, array $input, int $version, User $by): void
    {
        DB::transaction(function () use ($meeting, $input, $version, $by): void {
            $this->seen($meeting, $version);
            $meeting->state->mustBePlanned();
            $told = $this->told($meeting);
            $when = $meeting->when();
            $title = $meeting->title;
            $wasInvited = $meeting->is_invited;
            $came = $meeting->parties->modelKeys();
            $this->fill($meeting, $meeting->subject(), $input);
            $this->write($meeting, $told, $this->told($meeting), $by);
            $come = $meeting->parties->modelKeys();
            $isOther = $when->isMovedFrom($meeting->when()) || $title !== $meeting->title || $came !== $come;
            if ($meeting->is_invited && ($isOther || ! $wasInvited)) {
                $meeting->update(['sequence' => $meeting->sequence + ($wasInvited ? 1 : 0)]);
                $this->send->invite($meeting, $by);
            }
            if ($wasInvited) {
                $this->send->callOff($meeting, array_diff($came, $meeting->is_invited ? $come : []), $by);
            }
        });
    }

    /**
     * @throws StaleSave when somebody else has saved it since
     * @throws MeetingRefused when it was held or called off
     */
    public function callOff(Meeting $meeting, int $version, User $by): void
    {
        DB::transaction(function () use ($meeting, $version, $by): void {
            $this->seen($meeting, $version);
            $meeting->state->mustBePlanned();
            $was = $this->told($meeting);
            $meeting->update([
                'state' => MeetingState::Cancelled,
                'sequence' => $meeting->sequence + ($meeting->is_invited ? 1 : 0),
                'version' => $meeting->version + 1,
            ]);
            $this->write($meeting, $was, 'called off', $by);
            if ($meeting->is_invited) {
                $this->send->callOff($meeting, $meeting->parties->modelKeys(), $by);
            }
        });
    }

    /**
     * What came of it; with that it has been held. It can be put right later.
     *
     * @throws StaleSave when somebody else has saved it since
     * @throws MeetingRefused when it was called off
     * @throws ValidationException when nothing is written, or the day is still to come
     */
    public function conclude(Meeting $meeting, string $outcome, int $version, User $by): void
    {
        DB::transaction(function () use ($meeting, $outcome, $version, $by): void {
            $this->seen($meeting, $version);
            $meeting->state->mustNotBeCancelled();
            $problems = new FieldProblems;
            $text = $problems->at('outcome', fn () => Wording::paragraphs($outcome, self::LONGEST_TEXT, 'Write what came of it.'));
            if ($meeting->held_on->isAfter($this->clock->today())) {
                $problems->add('outcome', "It is still to come, on {$meeting->held_on->toText()}. Move it first if it was earlier.");
            }
            $problems->throwIfAny();
            $was = $meeting->outcome;
            $meeting->update(['state' => MeetingState::Held, 'outcome' => $text, 'version' => $meeting->version + 1]);
            $this->write($meeting, $was, (string) $text, $by, 'What came of '.$meeting->title);
        });
    }

    private function seen(Meeting $meeting, int $version): void
    {
        $meeting->refresh()->load('parties', 'users', 'party', 'engagement', 'document');
        StaleSave::unlessSeen($meeting->version, $version, 'this meeting');
    }

    /** @param  MeetingInput  $input */
    private function fill(Meeting $meeting, SubjectModel $subject, array $input): void
    {
        $problems = new FieldProblems;
        $title = $problems->at('title', fn () => Wording::line($input['title'], self::LONGEST_LINE, 'Say what it is about.'));
        $place = $problems->at(
            'place',
            fn () => trim($input['place']) === '' ? '' : Wording::line($input['place'], self::LONGEST_LINE, ''),
        );
        $agenda = trim($input['agenda']) === ''
            ? ''
            : $problems->at('agenda', fn () => Wording::paragraphs($input['agenda'], self::LONGEST_TEXT, ''));
        $day = $this->dates->day($input['day'], 'day', $problems);
        if (trim($input['day']) === '') {
            $problems->add('day', 'Type the day.');
        }
        $time = $problems->at('time', fn () => TimeOfDay::read($input['time']));
        $when = $day === null || $time === null
            ? null
            : $problems->at('minutes', fn () => When::of($day, $time, $input['minutes'], $place ?? ''));
        $parties = $this->parties($input['partyIds'], $input['isInvited'], $problems);
        if (User::query()->whereNull('retired_at')->whereKey($input['userIds'])->count() !== count($input['userIds'])) {
            $problems->add('userIds', 'One of them has left. Choose again.');
        }
        $this->refuseHidden($subject, $input['userIds'], $problems);
        $document = $input['documentId'] === null ? null : Document::query()->find($input['documentId']);
        if ($input['documentId'] !== null && ($document === null || ! $this->isOf($document, $subject, $parties))) {
            $problems->add('documentId', 'Choose a document of those who meet, or of the case.');
        }
        $problems->throwIfAny();

        $meeting->fill([
            'title' => $title,
            'held_on' => $when?->day,
            'time' => $when?->time->toText(),
            'minutes' => $when?->minutes,
            'place' => $when?->place,
            'agenda' => $agenda,
            'document_id' => $document?->id,
            'is_invited' => $input['isInvited'],
            'version' => $meeting->version + ($meeting->exists ? 1 : 0),
        ])->save();
        $meeting->parties()->sync(array_map(fn (Party $party) => $party->id, $parties));
        $meeting->users()->sync($input['userIds']);
        $meeting->load('parties', 'users', 'party', 'engagement', 'document');
    }

    /**
     * @param list<int> $ids
     *
     * @return list<Party>
     */
    private function parties(array $ids, bool $areInvited, FieldProblems $problems): array
    {
        $kept = Party::query()->with('contactPoints')->findMany($ids)->keyBy('id');
        $parties = [];
        foreach (array_values(array_unique($ids)) as $at => $id) {
            $party = $kept->get($id);
            if ($party === null) {
                $problems->add("partyIds.$at", 'Choose who comes.');

                continue;
            }
            if ($areInvited && Recipients::primary($party) === null) {
                $problems->add("partyIds.$at", MeetingRefused::noEmail($party->display_name)->getMessage());
            }
            $parties[] = $party;
        }

        return $parties;
    }

    /** @param  list<int>  $userIds */
    private function refuseHidden(SubjectModel $subject, array $userIds, FieldProblems $problems): void
    {
        if (! $subject instanceof Engagement) {
            return;
        }
        foreach (User::query()->findMany($userIds) as $user) {
            if ($subject->isHiddenFrom($user)) {
                $problems->add('userIds', EngagementRefused::hiddenFrom($user->name)->getMessage());
            }
        }
    }

    /** @param  list<Party>  $parties */
    private function isOf(Document $document, SubjectModel $subject, array $parties): bool
    {
        return $document->party_id === $subject->id ||
            $document->engagement_id === $subject->id ||
            in_array($document->party_id, array_map(fn (Party $party) => $party->id, $parties), true);
    }

    private function told(Meeting $meeting): string
    {
        $who = [...$meeting->parties->pluck('display_name')->all(), ...$meeting->users->pluck('name')->all()];

        return "$meeting->title, {$meeting->when()->toText()}".($who === [] ? '' : ', with '.implode(', ', $who));
    }

    private function write(Meeting $meeting, string $from, string $to, User $by, string $label = 'Meeting'): void
    {
        $this->log->handle($meeting->subject(), SectionName::Meetings, Difference::between(
            ['meeting' => new LoggedFact($label, $from)],
            ['meeting' => new LoggedFact($label, $to)],
        ), $by);
    }
}
