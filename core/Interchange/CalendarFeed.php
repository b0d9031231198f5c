<?php

declare(strict_types=1);

namespace Almanac\Interchange;

/**
 * Writes events as iCalendar, RFC 5545: lines of at most 75 octets (section 3.1), texts with
 * backslash, comma, semicolon and line break escaped (section 3.3.11). Times are local to
 * whoever reads them (section 3.3.5, form 1), as the office's clock shows them.
 */
final class CalendarFeed
{
    private const OCTETS = 75;

    /**
     * @param \DateTimeImmutable $stamp when it is written
     * @param list<CalendarEvent> $events
     */
    public static function write(string $name, \DateTimeImmutable $stamp, array $events): string
    {
        $lines = ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//Neat Almanac//Reminders//EN', 'NAME:'.self::text($name)];
        foreach ($events as $event) {
            $lines = [...$lines, ...self::event($event, $stamp->setTimezone(new \DateTimeZone('UTC'))->format('Ymd\THis\Z'))];
        }
        $lines[] = 'END:VCALENDAR';

        return implode("\r\n", array_map(self::fold(...), $lines))."\r\n";
    }

    /** @return list<string> */
    private static function event(CalendarEvent $event, string $stamp): array
    {
        return array_values(array_filter([
            'BEGIN:VEVENT',
            'UID:'.self::text($event->uid),
            'DTSTAMP:'.$stamp,
            'DTSTART:'.str_replace('-', '', $event->day->toIso()).'T'.str_replace(':', '', $event->time->toText()).'00',
            'DURATION:PT15M',
            $event->recurrence === null ? '' : 'RRULE:'.$event->recurrence->toRule(),
            'SUMMARY:'.self::text($event->summary),
            $event->url === '' ? '' : 'URL:'.$event->url,
            'END:VEVENT',
        ]));
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
