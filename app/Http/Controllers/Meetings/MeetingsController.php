<?php

declare(strict_types=1);

namespace App\Http\Controllers\Meetings;

use App\Actions\Meetings\KeepMeetings;
use App\Http\OpenApi\Adds;
use App\Http\OpenApi\Puts;
use App\Http\OpenApi\Reads;
use App\Http\Requests\Meetings\CallOffRequest;
use App\Http\Requests\Meetings\MeetingRequest;
use App\Http\Requests\Meetings\OutcomeRequest;
use App\Models\Engagement;
use App\Models\Meeting;
use App\Models\Party;
use App\Models\SubjectModel;
use App\Models\User;
use App\Queries\Meetings\ReadMeeting;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;

/**
 * Meetings of a record, or of a case or a project.
 *
 * @phpstan-import-type MeetingInput from KeepMeetings
 */
final readonly class MeetingsController
{
    public function __construct(private KeepMeetings $keep, private ReadMeeting $read)
    {
    }

    #[Reads('meetings/{meeting}', 'readMeeting', 'A whole meeting', 'Meeting', 'Meetings')]
    public function show(Meeting $meeting): JsonResponse
    {
        return new JsonResponse($this->read->handle($meeting));
    }

    #[Adds('parties/{id}/meetings', 'arrangeMeeting', 'Arrange a meeting for a record', 'MeetingInput', 'Meeting', 'Meetings')]
    public function ofParty(MeetingRequest $request, Party $party, #[CurrentUser] User $user): JsonResponse
    {
        return $this->arrange($request, $party, $user);
    }

    #[Adds(
        'engagements/{engagement}/meetings', 'arrangeEngagementMeeting', 'Arrange a meeting for a case or a project',
        'MeetingInput', 'Meeting', 'Meetings',
    )]
    public function ofEngagement(MeetingRequest $request, Engagement $engagement, #[CurrentUser] User $user): JsonResponse
    {
        return $this->arrange($request, $engagement, $user);
    }

    #[Puts('meetings/{meeting}', 'changeMeeting', 'Move a meeting, or change who comes', 'MeetingInput', 'Meeting', 'Meetings')]
    public function change(MeetingRequest $request, Meeting $meeting, #[CurrentUser] User $user): JsonResponse
    {
        $this->keep->change($meeting, $this->input($request), $request->version(), $user);

        return new JsonResponse($this->read->handle($meeting));
    }

    #[Puts('meetings/{meeting}/outcome', 'concludeMeeting', 'Write what came of a meeting', 'OutcomeInput', 'Meeting', 'Meetings')]
    public function conclude(OutcomeRequest $request, Meeting $meeting, #[CurrentUser] User $user): JsonResponse
    {
        $this->keep->conclude($meeting, $request->string('outcome')->value(), $request->integer('version'), $user);

        return new JsonResponse($this->read->handle($meeting));
    }

    #[Adds('meetings/{meeting}/call-off', 'callOffMeeting', 'Call a meeting off', 'CallOffInput', 'Meeting', 'Meetings', 200)]
    public function callOff(CallOffRequest $request, Meeting $meeting, #[CurrentUser] User $user): JsonResponse
    {
        $this->keep->callOff($meeting, $request->integer('version'), $user);

        return new JsonResponse($this->read->handle($meeting));
    }

    private function arrange(MeetingRequest $request, SubjectModel $subject, User $user): JsonResponse
    {
        return new JsonResponse($this->read->handle($this->keep->arrange($subject, $this->input($request), $user)), 201);
    }

    /** @return MeetingInput */
    private function input(MeetingRequest $request): array
    {
        /** @var MeetingInput */
        return $request->safe()->except('version');
    }
}
