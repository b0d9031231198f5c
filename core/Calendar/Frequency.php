<?php

declare(strict_types=1);

namespace Almanac\Calendar;

/** How often something comes back, by the names of RFC 5545. */
enum Frequency: string
{
    case Daily = 'DAILY';
    case Weekly = 'WEEKLY';
    case Monthly = 'MONTHLY';
    case Yearly = 'YEARLY';

    public function unit(): string
    {
        return match ($this) {
            self::Daily => 'day',
            self::Weekly => 'week',
            self::Monthly => 'month',
            self::Yearly => 'year',
        };
    }

    public static function ofUnit(string $unit): ?self
    {
        foreach (self::cases() as $frequency) {
            if ($frequency->unit() === rtrim($unit, 's')) {
                return $frequency;
            }
        }

        return null;
    }
}
