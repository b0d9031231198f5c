<?php

declare(strict_types=1);

namespace Almanac\Calendar;

/** A time on the office's own clock, to the minute. */
final readonly class TimeOfDay
{
    private function __construct(public int $hour, public int $minute)
    {
    }

    /**
     * Reads a time as people type it: 9, 9:30, 9.30, 930, 2pm, 14:05.
     *
     * @throws ImpossibleTime when it cannot be read, or is no time
     */
    public static function read(string $typed): self
    {
        $text = mb_strtolower(trim($typed));
        if (preg_match('/^(?<h>\d{1,2})(?:[:.h]?(?<m>\d{2}))?\s*(?<half>[ap])?\.?(?:m\.?)?$/', $text, $part) !== 1) {
            throw ImpossibleTime::unreadable(trim($typed));
        }
        $hour = (int) $part['h'];
        $half = $part['half'] ?? '';
        if ($half !== '' && ($hour < 1 || $hour > 12)) {
            throw ImpossibleTime::unreadable(trim($typed));
        }
        $hour = match ($half) {
            'a' => $hour % 12,
            'p' => $hour % 12 + 12,
            default => $hour,
        };
        $minute = (int) ($part['m'] ?? 0);

        return $hour > 23 || $minute > 59 ? throw ImpossibleTime::unreadable(trim($typed)) : new self($hour, $minute);
    }

    /** 09:30 */
    public function toText(): string
    {
        return sprintf('%02d:%02d', $this->hour, $this->minute);
    }
}
