<?php

declare(strict_types=1);

namespace Almanac\Ledger;

/** How late money is, in the steps that statements use (common practice, no published source). */
enum AgeingBucket: string
{
    case NotDue = 'not-due';
    case To30 = '1-30';
    case To60 = '31-60';
    case To90 = '61-90';
    case Over90 = 'over-90';

    /** @param  int  $days since the day that the age counts from */
    public static function of(int $days): self
    {
        return match (true) {
            $days <= 0 => self::NotDue,
            $days <= 30 => self::To30,
            $days <= 60 => self::To60,
            $days <= 90 => self::To90,
            default => self::Over90,
        };
    }

    public function title(AgeingBy $by): string
    {
        return match ($this) {
            self::NotDue => $by === AgeingBy::DueDate ? 'not due' : 'of today',
            self::To30 => '1–30 days',
            self::To60 => '31–60 days',
            self::To90 => '61–90 days',
            self::Over90 => 'over 90 days',
        };
    }

    /** @return array{int|null, int|null} the first and the last number of days in it; null where it has no end */
    public function days(): array
    {
        return match ($this) {
            self::NotDue => [null, 0],
            self::To30 => [1, 30],
            self::To60 => [31, 60],
            self::To90 => [61, 90],
            self::Over90 => [91, null],
        };
    }
}
