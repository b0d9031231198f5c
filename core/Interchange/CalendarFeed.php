<?php

declare(strict_types=1);

namespace Almanac\Interchange;

/**
 * Writes events as iCalendar, RFC 5545: lines of at most 75 octets (section 3.1), texts with
 * backslash, comma, semicolon and line break escaped (section 3.3.11). Times are those of the
 * office's clock, by its time zone (section 3.3.5, form 3), whose changes are written out (section 3.6.5).
 */
final class CalendarFeed
{
    private const OCTETS = 75;

    private const YEAR = 31_556_952;

    private const YEARS_BACK = 2;

    private const YEARS_AHEAD = 10;

    /**
     * @param \DateTimeImmutable $stamp when it is written, by the office's clock
     * @param list<CalendarEvent> $events
     */
    public static function write(string $name, \DateTimeImmutable $stamp, array $events): string
    {
        return self::calendar(['PRODID:-//Neat Almanac//Reminders//EN', 'NAME:'.self::text($name)], $stamp, $events);
    }

    /**
     * An event to be answered, or called off: a message of the methods REQUEST and CANCEL of RFC 5546, sections 3.2.2
     * and 3.2.5.
     *
     * @param \DateTimeImmutable $stamp when it is written, by the office's clock
     */
    public static function invitation(CalendarEvent $event, Invitees $invitees, \DateTimeImmutable $stamp): string
    {
        return self::calendar(
            ['PRODID:-//Neat Almanac//Meetings//EN', 'METHOD:'.($invitees->isCancelled ? 'CANCEL' : 'REQUEST')],
            $stamp,
            [$event],
            $invitees,
        );
    }

    /**
     * @param list<string> $head
     * @param list<CalendarEvent> $events
     */
    private static function calendar(array $head, \DateTimeImmutable $stamp, array $events, ?Invitees $invitees = null): string
    {
        $lines = ['BEGIN:VCALENDAR', 'VERSION:2.0', ...$head, ...self::zone($stamp)];
        foreach ($events as $event) {
            $lines = [...$lines, ...self::event($event, $stamp, $invitees)];
        }
        $lines[] = 'END:VCALENDAR';

        return implode("\r\n", array_map(self::fold(...), $lines))."\r\n";
    }

    /** @return list<string> */
    private static function event(CalendarEvent $event, \DateTimeImmutable $stamp, ?Invitees $invitees): array
    {
        return array_values(
            array_filter([
                'BEGIN:VEVENT',
                'UID:'.self::text($event->uid),
                'DTSTAMP:'.$stamp->setTimezone(new \DateTimeZone('UTC'))->format('Ymd\THis\Z'),
                'DTSTART;TZID='.
                $stamp->getTimezone()->getName().
                ':'.
                str_replace('-', '', $event->day->toIso()).
                'T'.
                str_replace(':', '', $event->time->toText()).
                '00',
                "DURATION:PT{$event->minutes}M",
                $event->recurrence === null ? '' : 'RRULE:'.$event->recurrence->toRule(),
                'SUMMARY:'.self::text($event->summary),
                $event->place === '' ? '' : 'LOCATION:'.self::text($event->place),
                $event->description === '' ? '' : 'DESCRIPTION:'.self::text($event->description),
                $event->url === '' ? '' : 'URL:'.$event->url,
                ...$invitees === null ? [] : self::people($invitees),
                'END:VEVENT',
            ]),
        );
    }

    /** @return list<string> */
    private static function people(Invitees $invitees): array
    {
        return [
            "SEQUENCE:$invitees->sequence",
            'STATUS:'.($invitees->isCancelled ? 'CANCELLED' : 'CONFIRMED'),
            'ORGANIZER'.self::person(...$invitees->organizer),
            ...array_map(
                fn (array $one) => 'ATTENDEE;ROLE=REQ-PARTICIPANT;PARTSTAT=NEEDS-ACTION;RSVP=TRUE'.self::person(...$one),
                $invitees->attendees,
            ),
        ];
    }

    /** A name in a parameter is quoted, and holds neither quotes nor controls: RFC 5545, section 3.2. */
    private static function person(string $name, string $email): string
    {
        return ';CN="'.preg_replace('/[\x00-\x1F\x7F]+/', ' ', str_replace('"', "'", $name)).'":mailto:'.$email;
    }

    /**
     * The office's zone, with every change of its clock in the years around.
     *
     * @return list<string>
     */
    private static function zone(\DateTimeImmutable $stamp): array
    {
        $lines = ['BEGIN:VTIMEZONE', 'TZID:'.$stamp->getTimezone()->getName()];
        $changes = $stamp
            ->getTimezone()
            ->getTransitions(
                $stamp->getTimestamp() - self::YEARS_BACK * self::YEAR,
                $stamp->getTimestamp() + self::YEARS_AHEAD * self::YEAR,
            );
        $offset = fn (int $seconds): string => sprintf(
            '%s%02d%02d',
            $seconds < 0 ? '-' : '+',
            intdiv(abs($seconds), 3600),
            intdiv(abs($seconds), 60) % 60,
        );
        foreach ($changes ?: [] as $at => $change) {
            $before = $changes[$at - 1]['offset'] ?? $change['offset'];
            $kind = $change['isdst'] ? 'DAYLIGHT' : 'STANDARD';
            $lines = [
                ...$lines,
                "BEGIN:$kind",
                'DTSTART:'.($at === 0 ? '19700101T000000' : gmdate('Ymd\THis', $change['ts'] + $before)),
                'TZOFFSETFROM:'.$offset($before),
                'TZOFFSETTO:'.$offset($change['offset']),
                'TZNAME:'.$change['abbr'],
                "END:$kind",
            ];
        }

        return [...$lines, 'END:VTIMEZONE'];
    }

    private static function text(string $text): string
    {
        return str_replace(["\r\n", "\n", "\r"], '\n', addcslashes($text, '\\;,'));
    }

    /** A long line goes on in the next one after a space; no sign of several octets is cut through. */
    private static function fold(string $line): string
    {
        $folded = '';
        $used = 0;
        foreach (mb_str_split($line) as $sign) {
            if ($used + strlen($sign) > self::OCTETS) {
                $folded .= "\r\n ";
                $used = 1;
            }
            $folded .= $sign;
            $used += strlen($sign);
        }

        return $folded;
    }
}
