<?php

declare(strict_types=1);

namespace Almanac\Records;

use Almanac\Calendar\Day;
use Almanac\Calendar\ImpossibleDay;

/**
 * Where something stands in the history of a subject: the newest day first, within a day by what it is, and the newest
 * of a kind first. Written as "2026-03-03.4.117".
 */
final readonly class StreamPlace
{
    public const SHAPE = '/^(\d{4}-\d\d-\d\d)\.([1-7])\.(\d{1,18})$/D';

    private function __construct(public Day $day, public StreamKind $kind, public int $id)
    {
    }

    public static function of(Day $day, StreamKind $kind, int $id): self
    {
        return new self($day, $kind, $id);
    }

    /** Null for what is no place. */
    public static function read(string $written): ?self
    {
        if (preg_match(self::SHAPE, $written, $parts) !== 1) {
            return null;
        }
        $kind = StreamKind::tryFrom((int) $parts[2]);
        try {
            return $kind === null ? null : new self(Day::fromIso($parts[1]), $kind, (int) $parts[3]);
        } catch (ImpossibleDay) {
            return null;
        }
    }

    public function toText(): string
    {
        return "{$this->day->toIso()}.{$this->kind->value}.$this->id";
    }

    /** Negative where this one stands before the other. */
    public function compare(self $other): int
    {
        return [$other->day->toIso(), $other->kind->value, $other->id] <=> [$this->day->toIso(), $this->kind->value, $this->id];
    }

    /**
     * What of a kind stands after this place: the day that it may be of at the latest, and, on that day alone, the number
     * that it has to be below; null for any.
     *
     * @return array{Day, int|null}
     */
    public function after(StreamKind $kind): array
    {
        return match ($kind->value <=> $this->kind->value) {
            -1 => [$this->day, null],
            0 => [$this->day, $this->id],
            default => [$this->day->plusDays(-1), null],
        };
    }
}
