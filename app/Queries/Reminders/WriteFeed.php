<?php

declare(strict_types=1);

namespace App\Queries\Reminders;

use Almanac\Calendar\TimeOfDay;
use Almanac\Interchange\CalendarEvent;
use Almanac\Interchange\CalendarFeed;
use App\Http\Data\Records\SubjectLinkData;
use App\Models\Party;
use App\Models\Reminder;
use App\Models\User;
use App\Outside\OwnAddress;
use App\Time\Clock;
use Illuminate\Database\Eloquent\Builder;

/** Writes somebody's open reminders as a calendar. */
final readonly class WriteFeed
{
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

        return CalendarFeed::write(
            'Reminders of '.$user->name,
            $this->clock->here()->toDateTimeImmutable(),
            array_values(
                $reminders
                    ->map(
                        fn (Reminder $reminder) => new CalendarEvent(
                            "reminder-{$reminder->id}@".OwnAddress::host(),
                            $reminder->due_on,
                            TimeOfDay::read($reminder->time),
                            $reminder->text.' – '.SubjectLinkData::of($reminder->subject())->name,
                            $reminder->recurrence(),
                            OwnAddress::of(($reminder->subject() instanceof Party ? '/records/' : '/engagements/').$reminder->subject_id),
                        ),
                    )
                    ->all(),
            ),
        );
    }
}
