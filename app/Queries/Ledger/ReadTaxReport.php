<?php

declare(strict_types=1);

namespace App\Queries\Ledger;

use Almanac\Interchange\CsvTable;
use Almanac\TaxIds\TaxReporting;
use Almanac\Terms\Side;
use App\Facts\Readiness\RecordFacts;
use App\Http\Data\Ledger\MoneyData;
use App\Http\Data\Ledger\TaxReportData;
use App\Http\Data\Ledger\TaxReportRowData;
use App\Http\Data\Records\PartyLinkData;
use App\Models\Party;
use App\Models\Payment;
use App\Models\TaxNumber;
use App\Time\Clock;

/** Reads the tax report of a year: each vendor that is reported and was paid, and what is missing. */
final readonly class ReadTaxReport
{
    public function __construct(private Clock $clock, private ReadTaxYear $year)
    {
    }

    public function handle(int $year): TaxReportData
    {
        $today = $this->clock->today();
        $paid = Payment::query()
            ->where('side', Side::Vendor)
            ->where('is_void', false)
            ->whereBetween('paid_on', ["$year-01-01", "$year-12-31"])
            ->select('party_id');
        $rows = [];
        foreach (Party::query()->whereIn('id', $paid)->with(RecordFacts::RELATIONS)->filed()->lazy() as $party) {
            $one = $this->year->handle($party, $year, $today);
            if ($one->isReportable) {
                $number = $party->taxNumbers->first(fn (TaxNumber $number) => $number->kind->isForForm());
                $rows[] = new TaxReportRowData(
                    PartyLinkData::of($party),
                    $number === null ? '' : $number->kind->title().' '.$number->masked,
                    $party->form_on?->toText() ?? '',
                    $one,
                );
            }
        }
        usort(
            $rows,
            fn (TaxReportRowData $one, TaxReportRowData $other) => [$other->year->isAbove, (float) $other->year->paid->amount] <=> [
                $one->year->isAbove,
                (float) $one->year->paid->amount,
            ],
        );

        return new TaxReportData(
            $year,
            MoneyData::of(TaxReporting::threshold($year)),
            $rows,
            count(array_filter($rows, fn (TaxReportRowData $row) => $row->year->isAbove && $row->year->missing !== [])),
        );
    }

    public function csv(TaxReportData $report): string
    {
        return CsvTable::write([
            ['vendor', 'number', 'form W-9', 'paid', 'currency', 'above the threshold', 'missing'],
            ...array_map(
                fn (TaxReportRowData $row) => [
                    $row->party->name,
                    $row->number,
                    $row->formText,
                    $row->year->paid->amount,
                    $row->year->paid->currency,
                    $row->year->isAbove ? 'yes' : 'no',
                    implode('; ', $row->year->missing),
                ],
                $report->rows,
            ),
        ]);
    }
}
