<?php

declare(strict_types=1);

namespace App\Queries\Ledger;

use Almanac\Addresses\AddressUse as Purpose;
use Almanac\Banking\PayBy;
use Almanac\Calendar\Day;
use Almanac\Money\Money;
use Almanac\TaxIds\TaxReporting;
use Almanac\Terms\Side;
use App\Facts\Ledger\Rates;
use App\Facts\Readiness\RecordFacts;
use App\Http\Data\Ledger\MoneyData;
use App\Http\Data\Ledger\TaxYearData;
use App\Models\Office;
use App\Models\Party;
use App\Models\Payment;
use App\Models\TaxNumber;

/** Reads what a vendor was paid in a calendar year, by the day the money went, as the tax report counts it. */
final class ReadTaxYear
{
    public function handle(Party $party, int $year, Day $today): TaxYearData
    {
        $reporting = RecordFacts::reporting($party, $today);
        $paid = $this->paid($party, $year);
        $threshold = TaxReporting::threshold($year);
        $isAbove = $paid->currency === $threshold->currency && $paid->minor >= $threshold->minor;
        $missing = [];
        if ($reporting->isReportable) {
            if (! $party->taxNumbers->contains(fn (TaxNumber $number) => $number->kind->isForForm())) {
                $missing[] =
                    'no tax number'.
                    ($paid->isZero() ? '' : '; '.TaxReporting::backupWithholding($paid)->toText().' would have had to be withheld');
            }
            if ($party->form_on === null) {
                $missing[] = 'no form W-9 on file';
            }
            if ($party->addressFor(Purpose::Postal, $today) === null) {
                $missing[] = 'no address';
            }
        }

        return new TaxYearData(
            $year,
            $reporting->isReportable,
            $reporting->why,
            MoneyData::of($paid),
            MoneyData::of($threshold),
            $isAbove,
            $missing,
        );
    }

    /** By the day the money went; what went by card is reported by others. Other currencies at the rate of that day. */
    private function paid(Party $party, int $year): Money
    {
        $rates = Rates::ofOffice();
        $kinds = array_filter(PayBy::cases(), fn (PayBy $kind) => $kind->countsForTaxReport());
        $payments = Payment::query()->where('party_id', $party->id)->where('side', Side::Vendor)->where('is_void', false)
            ->whereIn('pay_by', $kinds)->whereBetween('paid_on', ["$year-01-01", "$year-12-31"])->get();

        return Money::sum(
            $payments->map(fn (Payment $payment) => $rates->orNull($payment->amount(), $payment->paid_on))->filter(),
            Office::current()->currency(),
        );
    }
}
