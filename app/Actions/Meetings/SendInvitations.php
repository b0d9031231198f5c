<?php

declare(strict_types=1);

namespace App\Actions\Meetings;

use Almanac\Interchange\CalendarFeed;
use Almanac\Interchange\Invitees;
use Almanac\Meetings\MeetingState;
use App\Facts\Meetings\CalendarEntry;
use App\Facts\Records\Recipients;
use App\Models\Engagement;
use App\Models\Meeting;
use App\Models\Office;
use App\Models\Party;
use App\Models\User;
use App\Outside\Outbox;
use App\Time\Clock;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use Symfony\Component\Mime\Exception\ExceptionInterface;

/**
 * Tells those who come to a meeting, each in a message of their own with an invitation that calendars read (iCalendar,
 * RFC 5545 and 5546; sent as RFC 6047 says). Runs inside the transaction of what is saved.
 */
final readonly class SendInvitations
{
    public function __construct(private Outbox $outbox, private Clock $clock)
    {
    }

    public function invite(Meeting $meeting, User $by): void
    {
        $verb = $meeting->sequence === 0 ? 'Invitation' : 'Changed';
        foreach ($meeting->parties->load('contactPoints') as $party) {
            $this->send($meeting, $party, $verb, false, $by);
        }
    }

    /** @param  array<int>  $partyIds  who need not come any more, or at all */
    public function callOff(Meeting $meeting, array $partyIds, User $by): void
    {
        foreach (Party::query()->with('contactPoints')->findMany($partyIds) as $party) {
            $this->send($meeting, $party, 'Called off', true, $by);
        }
    }

    private function send(Meeting $meeting, Party $party, string $verb, bool $isCancelled, User $by): void
    {
        $email = Recipients::primary($party);
        if ($email === null) {
            return;
        }
        $subject = "$verb: {$this->subject($meeting)}";
        $message = $this->message($meeting, [$party, $email], $subject, $isCancelled, $by);
        $this->outbox->put(
            $party, $meeting->document_id, [$email], Str::limit($subject, 250, ''), $message, $by, $meeting->engagement?->id,
        );
    }

    /** With the number of what it is about, by which the answer is filed. */
    private function subject(Meeting $meeting): string
    {
        $about = $meeting->document?->title() ?? ($meeting->subject() instanceof Engagement ? $meeting->engagement?->number : null);

        return $meeting->title.($about === null ? '' : " ($about)").', '.$meeting->held_on->toText();
    }

    /**
     * @param array{Party, string} $to
     *
     * @throws ValidationException when an address, though rightly written, cannot be sent to
     */
    private function message(Meeting $meeting, array $to, string $subject, bool $isCancelled, User $by): string
    {
        [$party, $email] = $to;
        $attendees = [];
        foreach ($meeting->parties as $one) {
            $address = Recipients::primary($one->loadMissing('contactPoints'));
            if ($address !== null) {
                $attendees[] = [$one->display_name, $address];
            }
        }
        foreach ($meeting->users as $user) {
            $attendees[] = [$user->name, $user->email];
        }
        $invitees = new Invitees(
            [$by->name, $by->sendsFrom()],
            // Who is no longer expected is told so alone.
            $isCancelled && $meeting->state !== MeetingState::Cancelled ? [[$party->display_name, $email]] : $attendees,
            $meeting->sequence,
            $isCancelled,
        );
        $calendar = CalendarFeed::invitation(CalendarEntry::of($meeting, false), $invitees, $this->clock->here()->toDateTimeImmutable());
        $method = $isCancelled ? 'CANCEL' : 'REQUEST';
        try {
            return $this->outbox->begin([$email], $subject, $by)
                ->text($this->text($meeting, $isCancelled, $by))
                ->attach($calendar, 'invitation.ics', "text/calendar; method=$method")
                ->toString();
        } catch (ExceptionInterface) {
            throw ValidationException::withMessages([
                'isInvited' => "The address of $party->display_name is written in a way that email from here cannot reach: $email. Put it right, or leave the invitations out.",
            ]);
        }
    }

    private function text(Meeting $meeting, bool $isCancelled, User $by): string
    {
        return implode("\n\n", array_filter([
            $isCancelled ? 'This meeting will not take place, or goes on without you:' : 'You are invited:',
            "$meeting->title\n{$meeting->when()->toText()}",
            $isCancelled ? '' : $meeting->agenda,
            "$by->name\n".Office::current()->name,
        ]));
    }
}
