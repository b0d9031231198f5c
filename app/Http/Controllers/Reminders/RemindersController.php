<?php

declare(strict_types=1);

namespace App\Http\Controllers\Reminders;

use App\Actions\Reminders\KeepReminders;
use App\Actions\Reminders\OpenCalendar;
use App\Http\Data\Reminders\CalendarAddressData;
use App\Http\Requests\Reminders\DoneRequest;
use App\Http\Requests\Reminders\PutOffRequest;
use App\Http\Requests\Reminders\ReminderRequest;
use App\Models\Party;
use App\Models\Reminder;
use App\Models\User;
use App\Outside\OwnAddress;
use App\Queries\Records\ReadRecord;
use App\Queries\Reminders\WriteFeed;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;

/** Reminders, and the calendar they go into. */
final readonly class RemindersController
{
    public function __construct(private KeepReminders $keep, private ReadRecord $read)
    {
    }

    #[
        OA\Post(
            path: '/api/parties/{id}/reminders',
            operationId: 'addReminder',
            summary: 'Set a reminder, for oneself or a colleague',
            requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/ReminderInput')),
            tags: ['Reminders'],
            parameters: [new OA\Parameter(name: 'id', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))],
            responses: [
                new OA\Response(
                    response: 201,
                    description: 'Set; the whole record',
                    content: new OA\JsonContent(ref: '#/components/schemas/Record'),
                ),
                new OA\Response(
                    response: 'default',
                    description: 'Refused',
                    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
                ),
            ],
        ),
    ]
    public function add(ReminderRequest $request, Party $party, #[CurrentUser] User $user): JsonResponse
    {
        /** @var array{text: string, day: string, time: string, rule: string, userId: int} $input */
        $input = $request->validated();
        $this->keep->add($party, $input, $user);

        return new JsonResponse($this->read->handle($party), 201);
    }

    #[
        OA\Post(
            path: '/api/reminders/{reminder}/done',
            operationId: 'doneReminder',
            summary: 'Mark a reminder done; one that repeats goes on to its next day',
            requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/DoneInput')),
            tags: ['Reminders'],
            parameters: [new OA\Parameter(name: 'reminder', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))],
            responses: [
                new OA\Response(response: 204, description: 'Done'),
                new OA\Response(
                    response: 'default',
                    description: 'Refused',
                    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
                ),
            ],
        ),
    ]
    public function done(DoneRequest $request, Reminder $reminder, #[CurrentUser] User $user): Response
    {
        $this->keep->done($reminder, $request->day(), $user);

        return new Response(status: 204);
    }

    #[
        OA\Put(
            path: '/api/reminders/{reminder}',
            operationId: 'putOffReminder',
            summary: 'Put a reminder off',
            requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/PutOffInput')),
            tags: ['Reminders'],
            parameters: [new OA\Parameter(name: 'reminder', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))],
            responses: [
                new OA\Response(response: 204, description: 'Put off'),
                new OA\Response(
                    response: 'default',
                    description: 'Refused',
                    content: new OA\JsonContent(ref: '#/components/schemas/Problem'),
                ),
            ],
        ),
    ]
    public function putOff(PutOffRequest $request, Reminder $reminder, #[CurrentUser] User $user): Response
    {
        $this->keep->putOff($reminder, $request->string('day')->value(), $request->string('time')->value(), $user);

        return new Response(status: 204);
    }

    #[
        OA\Delete(
            path: '/api/reminders/{reminder}',
            operationId: 'removeReminder',
            summary: 'Remove a reminder; what it said stays in the log',
            tags: ['Reminders'],
            parameters: [new OA\Parameter(name: 'reminder', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))],
            responses: [new OA\Response(response: 204, description: 'Removed')],
        ),
    ]
    public function remove(Reminder $reminder, #[CurrentUser] User $user): Response
    {
        $this->keep->remove($reminder, $user);

        return new Response(status: 204);
    }

    #[
        OA\Post(
            path: '/api/calendar',
            operationId: 'openCalendar',
            summary: 'Make a secret address at which a calendar program finds one’s reminders; the one before stops working',
            tags: ['Reminders'],
            responses: [
                new OA\Response(
                    response: 201,
                    description: 'The address, told only now',
                    content: new OA\JsonContent(ref: '#/components/schemas/CalendarAddress'),
                ),
            ],
        ),
    ]
    public function open(OpenCalendar $calendar, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse(new CalendarAddressData(OwnAddress::of('/calendar/'.$calendar->handle($user).'.ics')), 201);
    }

    public function feed(string $secret, WriteFeed $feed): Response
    {
        $text = $feed->handle($secret);

        return $text === null
            ? new Response('No such calendar.', 404, ['Content-Type' => 'text/plain; charset=utf-8'])
            : new Response($text, 200, ['Content-Type' => 'text/calendar; charset=utf-8', 'Cache-Control' => 'private, max-age=300']);
    }
}
