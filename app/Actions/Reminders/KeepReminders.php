<?php

declare(strict_types=1);

namespace App\Actions\Reminders;

use Almanac\Calendar\Day;
use Almanac\Calendar\Recurrence;
use Almanac\Calendar\TimeOfDay;
use Almanac\Engagements\EngagementRefused;
use Almanac\Records\Difference;
use Almanac\Records\LoggedFact;
use Almanac\Records\SectionName;
use Almanac\Records\Wording;
use App\Actions\Records\LogChanges;
use App\Models\Engagement;
use App\Models\File;
use App\Models\Reminder;
use App\Models\SubjectModel;
use App\Models\User;
use App\Time\Clock;
use App\Time\TypedDates;
use App\Validation\FieldProblems;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Sets reminders, puts them off, and marks them done; one that repeats goes on to its next day. */
final readonly class KeepReminders
{
    private const MAX_LENGTH = 200;

    private const MORNING = '09:00';

    /** So many days before a file expires somebody is reminded of it. */
    private const DAYS_BEFORE_EXPIRY = 30;

    public function __construct(private TypedDates $dates, private Clock $clock, private LogChanges $log)
    {
    }

    /**
     * @param array{text: string, day: string, time: string, rule: string, userId: int} $input
     *
     * @throws ValidationException with each refusal at its field
     */
    public function add(SubjectModel $subject, array $input, User $by): Reminder
    {
        $subject->assertInUse();
        $problems = new FieldProblems;
        $text = $problems->at('text', fn () => Wording::line($input['text'], self::MAX_LENGTH, 'Write what to do.'));
        $day = $this->dates->day($input['day'], 'day', $problems) ?? $this->clock->today();
        $time = $this->time($input['time'], $problems);
        $rule = trim($input['rule']) === '' ? null : $problems->at('rule', fn () => Recurrence::read($input['rule']));
        $for = User::query()->whereNull('retired_at')->find($input['userId']);
        if (! $for instanceof User) {
            $problems->add('userId', 'Choose a colleague who is at the office.');
        } elseif ($subject instanceof Engagement && $subject->isHiddenFrom($for)) {
            $problems->add('userId', EngagementRefused::hiddenFrom($for->name)->getMessage());
        }
        $problems->throwIfAny();

        return DB::transaction(function () use ($subject, $input, $text, $day, $time, $rule, $by): Reminder {
            $reminder = Reminder::query()->create([
                'subject_id' => $subject->id, 'user_id' => $input['userId'], 'by_id' => $by->id, 'text' => $text,
                'first_on' => $day, 'due_on' => $day, 'time' => $time, 'rule' => $rule?->toRule() ?? '',
            ]);
            $this->write($reminder, '', 'set: '.$this->told($reminder), $by);

            return $reminder;
        });
    }

    /** @param  Day  $seen the day it was due when somebody saw it; what a colleague has done since is not done twice */
    public function done(Reminder $reminder, Day $seen, User $by): void
    {
        DB::transaction(function () use ($reminder, $seen, $by): void {
            $reminder->refresh();
            if ($reminder->done_at !== null || ! $reminder->due_on->equals($seen)) {
                return;
            }
            $was = $this->told($reminder);
            $today = $this->clock->today();
            $after = $reminder->due_on->isAfter($today) ? $reminder->due_on : $today;
            $next = $reminder->recurrence()?->nextAfter($reminder->first_on, $after);
            $reminder->update($next === null ? ['done_at' => $this->clock->now()] : ['due_on' => $next]);
            $this->write($reminder, $was, 'done'.($next === null ? '' : ', again on '.$next->toText()), $by);
        });
    }

    /**
     * @param string $day as it is typed
     * @param string $time empty leaves it
     *
     * @throws ValidationException when the day or the time cannot be read, or is past
     */
    public function putOff(Reminder $reminder, string $day, string $time, User $by): void
    {
        $problems = new FieldProblems;
        $to = $this->dates->day($day, 'day', $problems);
        $at = trim($time) === '' ? $reminder->time : $this->time($time, $problems);
        if ($to === null || $to->isBefore($this->clock->today())) {
            $problems->add('day', 'Choose a day from today on.');
        }
        $problems->throwIfAny();
        DB::transaction(function () use ($reminder, $to, $at, $by): void {
            $was = $this->told($reminder);
            $reminder->update(['due_on' => $to, 'time' => $at]);
            $this->write($reminder, $was, 'put off: '.$this->told($reminder), $by);
        });
    }

    public function remove(Reminder $reminder, User $by): void
    {
        DB::transaction(function () use ($reminder, $by): void {
            $this->write($reminder, $this->told($reminder), '', $by);
            $reminder->delete();
        });
    }

    /** Reminds whoever set the date of a file that expires. Runs inside the transaction of the change. */
    public function ofExpiry(File $file, User $by): void
    {
        $open = Reminder::query()->where('file_id', $file->id)->whereNull('done_at');
        if ($file->expires_on === null) {
            $open->delete();

            return;
        }
        $early = $file->expires_on->plusDays(-self::DAYS_BEFORE_EXPIRY);
        $day = $early->isBefore($this->clock->today()) ? $this->clock->today() : $early;
        $reminder =
            $open->first() ??
            new Reminder([
                'file_id' => $file->id,
                'subject_id' => $file->subject_id,
                'user_id' => $by->id,
                'by_id' => $by->id,
                'time' => self::MORNING,
            ]);
        $reminder
            ->fill([
                'text' => mb_strimwidth("“{$file->name}” expires on {$file->expires_on->toText()}", 0, self::MAX_LENGTH, '…'),
                'first_on' => $day,
                'due_on' => $day,
            ])
            ->save();
    }

    private function time(string $typed, FieldProblems $problems): string
    {
        return trim($typed) === '' ? self::MORNING : $problems->at('time', fn () => TimeOfDay::read($typed)->toText()) ?? '';
    }

    private function told(Reminder $reminder): string
    {
        $recurrence = $reminder->recurrence();

        return "$reminder->text, {$reminder->due_on->toText()} $reminder->time"
            .($recurrence === null ? '' : ', '.$recurrence->toText());
    }

    private function write(Reminder $reminder, string $from, string $to, User $by): void
    {
        $this->log->handle($reminder->subject(), SectionName::Reminders, Difference::between(
            ['reminder' => new LoggedFact('Reminder', $from)],
            ['reminder' => new LoggedFact('Reminder', $to)],
        ), $by);
    }
}
