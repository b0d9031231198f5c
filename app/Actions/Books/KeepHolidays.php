<?php

declare(strict_types=1);

namespace App\Actions\Books;

use Almanac\Interchange\HolidayCalendar;
use Almanac\Refusal;
use App\Time\TypedDates;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Once;
use Illuminate\Validation\ValidationException;

/** Keeps the days on which the office is closed. */
final readonly class KeepHolidays
{
    public function __construct(private TypedDates $dates)
    {
    }

    /**
     * Reads holidays from an iCalendar file: its events of a whole day.
     *
     * @return int how many
     *
     * @throws ValidationException when it is no calendar, or holds no such day
     */
    public function read(string $text): int
    {
        try {
            $days = HolidayCalendar::read($text, $this->dates->today());
        } catch (Refusal $refusal) {
            throw ValidationException::withMessages(['text' => $refusal->getMessage()]);
        }
        DB::table('holidays')->upsert(
            array_map(fn (array $day) => ['kept_on' => $day[0]->toIso(), 'name' => mb_substr($day[1], 0, 100)], $days),
            ['kept_on'],
            ['name'],
        );
        Once::flush();

        return count($days);
    }

    public function forget(): void
    {
        DB::table('holidays')->delete();
        Once::flush();
    }
}
