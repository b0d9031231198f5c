<?php

declare(strict_types=1);

namespace App\Queries\Reminders;

use Almanac\Calendar\TimeOfDay;
use Almanac\Interchange\CalendarEvent;
use Almanac\Interchange\CalendarFeed;
use Almanac\Meetings\MeetingState;
use App\Facts\Meetings\CalendarEntry;
use App\Http\Data\Records\SubjectLinkData;
use App\Models\Meeting;
use App\Models\Party;
use App\Models\Reminder;
use App\Models\User;
use App\Outside\OwnAddress;
use App\Time\Clock;
use Illuminate\Database\Eloquent\Builder;

/** Writes somebody's open reminders, and the meetings that they come to, as a calendar. */
final readonly class WriteFeed
{
    /** Meetings of so many days before today stay in the calendar. */
    private const DAYS_BACK = 60;

    public function __construct(private Clock $clock)
    {
    }

    /** @return string|null null when nobody has that secret */
    public function handle(string $secret): ?string
    {
        $user = User::query()->whereNull('retired_at')->firstWhere('calendar_hash', User::calendarHash($secret));
        if ($user === null) {
            return null;
        }
        $reminders = Reminder::query()->tap(fn (Builder $all) => Reminder::onlyFor($all, $user))
            ->open()->where('user_id', $user->id)->with('party', 'engagement')->get();

        $meetings = Meeting::query()->tap(fn (Builder $all) => Meeting::onlyFor($all, $user))
            ->where('state', '!=', MeetingState::Cancelled)
            ->where('held_on', '>=', $this->clock->today()->plusDays(-self::DAYS_BACK)->toIso())
            ->whereHas('users', fn (Builder $users) => $users->whereKey($user->id))
            ->orderBy('held_on')->get();

        return CalendarFeed::write(
            'Reminders and meetings of '.$user->name,
            $this->clock->here()->toDateTimeImmutable(),
            [
                ...array_values($reminders->map(fn (Reminder $reminder) => self::reminder($reminder))->all()),
                ...array_values($meetings->map(fn (Meeting $meeting) => CalendarEntry::of($meeting, true))->all()),
            ],
        );
    }

    private static function reminder(Reminder $reminder): CalendarEvent
    {
        return new CalendarEvent(
            "reminder-{$reminder->id}@".OwnAddress::host(),
            $reminder->due_on,
            TimeOfDay::read($reminder->time),
            $reminder->text.' – '.SubjectLinkData::of($reminder->subject())->name,
            $reminder->recurrence(),
            OwnAddress::of(($reminder->subject() instanceof Party ? '/records/' : '/engagements/').$reminder->subject_id),
        );
    }
}
