<?php

declare(strict_types=1);

namespace App\Queries\Lists;

use Almanac\Calendar\Day;
use Almanac\Calendar\Month;
use Almanac\Lists\Span;
use Almanac\Money\Money;
use App\Facts\Lists\PartyList;
use App\Facts\Lists\Turnover;
use App\Facts\Lists\Wanted;
use App\Http\Data\Ledger\MoneyData;
use App\Http\Data\Lists\MonthData;
use App\Models\Office;
use App\Models\User;
use App\Time\Clock;
use Illuminate\Support\Facades\DB;

/** Adds up month by month what the records of a list were billed and paid. */
final readonly class CountMonths
{
    /** A line of more has no room. */
    private const MOST = 60;

    public function __construct(private Clock $clock)
    {
    }

    /** @return list<MonthData> every month of the time, the last ones where it is long */
    public function handle(Wanted $wanted, Span $period, User $reader): array
    {
        $today = $this->clock->today();
        [$first, $last] = $period->on($today);
        // What is to come is nothing yet.
        $last = $last->isAfter($today) && ! $first->isAfter($today) ? $today : $last;
        $currency = Office::current()->currency();
        $asked = (new PartyList($this->clock, $wanted, $reader))->asked();
        $turnover = new Turnover($first, $last, $currency);
        $rows = array_column(DB::select(
            'select substr(t.day, 1, 7) as month, '.Turnover::sums('t')." from ({$turnover->sql()}) as t"
                ." join record_values as v on v.party_id = t.party_id where $asked->sql group by 1",
            $asked->bindings,
        ), null, 'month');
        $months = [];
        for ($day = Day::of($first->year, $first->month, 1); ! $day->isAfter($last); $day = $day->plusMonths(1)) {
            $row = $rows[substr($day->toIso(), 0, 7)] ?? new \stdClass;
            $heights = array_map(fn (string $sum) => (int) ($row->{$sum} ?? 0), Turnover::SUMS);
            [$billed, $received, $bills, $paid] = array_map(fn (int $minor) => MoneyData::of(Money::ofMinor($minor, $currency)), $heights);
            $months[] = new MonthData(Month::NAMES[$day->month].' '.$day->year, $billed, $received, $bills, $paid, $heights);
        }

        return array_slice($months, -self::MOST);
    }
}
