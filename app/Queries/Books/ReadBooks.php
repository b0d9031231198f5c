<?php

declare(strict_types=1);

namespace App\Queries\Books;

use Almanac\Calendar\Day;
use Almanac\Terms\Side;
use Almanac\Terms\SideField;
use App\Facts\Terms\SideDefaults;
use App\Facts\Terms\SideFieldValues;
use App\Http\Data\Books\AccountData;
use App\Http\Data\Books\BooksData;
use App\Http\Data\Books\CostCentreData;
use App\Http\Data\Books\CurrencyRateData;
use App\Http\Data\Books\HolidayData;
use App\Http\Data\Books\TaxRateData;
use App\Http\Data\Records\SideFieldData;
use App\Models\CostCentre;
use App\Models\CurrencyRate;
use App\Models\LedgerAccount;
use App\Models\Office;
use App\Models\TaxRate;
use App\Time\Clock;
use Illuminate\Support\Facades\DB;

/** Reads what the office has set for its books. */
final readonly class ReadBooks
{
    public function __construct(private Clock $clock)
    {
    }

    public function handle(): BooksData
    {
        $office = Office::current();
        $rates = CurrencyRate::query()->orderBy('currency')->orderByDesc('quoted_on')->get();
        $holidays = DB::table('holidays')->where('kept_on', '>=', $this->clock->today()->toIso())->orderBy('kept_on')->get();

        return new BooksData(
            $office->currency(),
            array_values(array_unique([$office->currency(), ...$rates->map(fn (CurrencyRate $rate) => $rate->currency)->all()])),
            array_values(
                TaxRate::query()
                    ->orderBy('is_retired')
                    ->orderBy('side')
                    ->orderBy('name')
                    ->orderBy('since')
                    ->get()
                    ->map(fn (TaxRate $one) => TaxRateData::of($one))
                    ->all(),
            ),
            array_values(LedgerAccount::query()->orderBy('code')->get()->map(fn (LedgerAccount $one) => AccountData::of($one))->all()),
            array_values(
                CostCentre::query()->orderBy('group')->orderBy('name')->get()->map(fn (CostCentre $one) => CostCentreData::of($one))->all(),
            ),
            array_values($rates->map(fn (CurrencyRate $one) => CurrencyRateData::of($one))->all()),
            array_values(
                $holidays
                    ->map(fn ($one) => new HolidayData(Day::fromIso((string) $one->kept_on)->toTextWithWeekday(), (string) $one->name))
                    ->all(),
            ),
            $office->keepsUsHolidays(),
            $office->ageing_by->value,
            $office->warn_after,
            $office->late_rate,
            $office->late_per_month,
            $this->defaults(Side::Client),
            $this->defaults(Side::Vendor),
        );
    }

    /** @return list<SideFieldData> */
    private function defaults(Side $side): array
    {
        $kept = SideDefaults::ofOffice($side);
        $currency = $kept->currency ?? Office::current()->currency();

        return array_map(function (SideField $field) use ($kept, $side, $currency): SideFieldData {
            $value = $kept->getAttribute(SideDefaults::column($field));

            return new SideFieldData(
                $field->value,
                $field->title($side),
                $value === null ? null : SideFieldValues::typed($field, $value, $currency),
                '',
                SideFieldValues::text($field, $value, $currency),
                '',
            );
        }, SideField::of($side));
    }
}
