<?php

declare(strict_types=1);

namespace Almanac\Meetings;

use Almanac\Calendar\Day;
use Almanac\Calendar\TimeOfDay;

/** When a meeting is, for how long, and where: what those who are invited have to be told again when it changes. */
final readonly class Meeting
{
    private const LEAST = 5;

    private const MOST = 1440;

    /** @param  int  $minutes  how long it lasts */
    private function __construct(public Day $day, public TimeOfDay $time, public int $minutes, public string $place)
    {
    }

    /** @throws MeetingRefused when it is shorter than five minutes or longer than a day */
    public static function of(Day $day, TimeOfDay $time, int $minutes, string $place): self
    {
        if ($minutes < self::LEAST || $minutes > self::MOST) {
            throw MeetingRefused::tooLong();
        }

        return new self($day, $time, $minutes, $place);
    }

    /**
     * Whether a calendar that has the other has to take this one in its place: RFC 5546, section 2.1.4, counts a change of
     * the time or the place as a new sequence.
     */
    public function isMovedFrom(self $other): bool
    {
        return ! $this->day->equals($other->day) ||
            $this->time->toText() !== $other->time->toText() ||
            $this->minutes !== $other->minutes ||
            $this->place !== $other->place;
    }

    /** "Tue 3 Mar 2026, 14:00 to 15:30", and where */
    public function toText(): string
    {
        $end = $this->time->hour * 60 + $this->time->minute + $this->minutes;
        $until = sprintf('%02d:%02d', intdiv($end, 60) % 24, $end % 60);

        return "{$this->day->toTextWithWeekday()}, {$this->time->toText()} to $until".($end >= self::MOST ? ' of the next day' : '')
            .($this->place === '' ? '' : ", $this->place");
    }
}
