<?php

declare(strict_types=1);

namespace App\Queries\Ledger;

use Almanac\Calendar\Day;
use Almanac\Ledger\Entry;
use Almanac\Ledger\Standing;
use Almanac\Money\Money;
use Almanac\Terms\Side;
use App\Facts\Ledger\ClientCredit;
use App\Facts\Ledger\PartyBooks;
use App\Facts\Ledger\Rates;
use App\Http\Data\Ledger\AgeingBucketData;
use App\Http\Data\Ledger\CreditData;
use App\Http\Data\Ledger\DaysToPayData;
use App\Http\Data\Ledger\DueDocumentData;
use App\Http\Data\Ledger\MoneyData;
use App\Http\Data\Ledger\SideStandingData;
use App\Http\Data\Ledger\StandingData;
use App\Models\Document;
use App\Models\Office;
use App\Models\Party;
use App\Models\Payment;

/** Reads how a party stands: all of it worked out from documents and money as they are now. */
final readonly class ReadStanding
{
    public function __construct(private ReadTaxYear $taxYear)
    {
    }

    public function handle(Party $party, Day $today): StandingData
    {
        $standings = PartyBooks::ofMany([$party->id], $today)[$party->id] ?? [];

        return new StandingData(
            array_map(fn (Standing $standing) => $this->side($party, $standing, $today), $standings),
            $this->net($standings, $today),
            CreditData::orNull(ClientCredit::of($party, $standings, $today)),
            $party->is_vendor ? $this->taxYear->handle($party, $today->year, $today) : null,
        );
    }

    private function side(Party $party, Standing $standing, Day $today): SideStandingData
    {
        $office = Office::current();
        $year = [Day::of($today->year, 1, 1)->toIso(), Day::of($today->year, 12, 31)->toIso()];

        return new SideStandingData(
            $standing->side->value,
            $standing->currency,
            MoneyData::of($standing->open),
            MoneyData::of($standing->credits),
            MoneyData::of($standing->unallocated),
            MoneyData::of($standing->balance),
            MoneyData::of($standing->overdue),
            AgeingBucketData::all($standing->ageing, $office->ageing_by),
            $this->due($standing->oldest, $today),
            $this->due($standing->nextDue, $today),
            DaysToPayData::orNull($standing->daysToPay),
            $standing->hasOldOpen ? "something is open for more than {$office->warn_after} days" : '',
            $this->inHome($standing->open, $today),
            MoneyData::of(Money::ofMinor($this->turnover($party, $standing, $year), $standing->currency)),
            MoneyData::of(
                Money::ofMinor(
                    (int) Payment::query()
                        ->where('party_id', $party->id)
                        ->where('side', $standing->side)
                        ->where('currency', $standing->currency)
                        ->where('is_void', false)
                        ->whereBetween('paid_on', $year)
                        ->sum('amount_minor'),
                    $standing->currency,
                ),
            ),
        );
    }

    /** @param  array{string, string}  $year */
    private function turnover(Party $party, Standing $standing, array $year): int
    {
        $kinds = $standing->side === Side::Client ? ['invoice', 'credit-note'] : ['bill', 'credit-received'];
        $sums = Document::query()->where('party_id', $party->id)->whereIn('kind', $kinds)->issued()->where('currency', $standing->currency)
            ->whereBetween('dated_on', $year)->groupBy('kind')->selectRaw('kind, sum(net_minor) as net')->toBase()->pluck('net', 'kind');

        return (int) ($sums[$kinds[0]] ?? 0) - (int) ($sums[$kinds[1]] ?? 0);
    }

    private function due(?Entry $entry, Day $today): ?DueDocumentData
    {
        if ($entry === null) {
            return null;
        }
        $days = $today->daysUntil($entry->due);

        return new DueDocumentData($entry->id, $entry->due->toText(), match (true) {
            $days < -1 => -$days.' days late',
            $days === -1 => '1 day late',
            $days === 0 => 'today',
            $days === 1 => 'tomorrow',
            default => "in $days days",
        }, MoneyData::of($entry->open));
    }

    private function inHome(Money $amount, Day $today): string
    {
        $rates = Rates::ofOffice();
        $inHome = $amount->currency === $rates->home ? null : $rates->orNull($amount, $today);
        if ($inHome === null) {
            return '';
        }

        return sprintf('%s at the rate of %s', $inHome->toText(), $rates->since($amount->currency, $today)?->toText());
    }

    /** @param  list<Standing>  $standings */
    private function net(array $standings, Day $today): ?MoneyData
    {
        $rates = Rates::ofOffice();
        $net = Money::zero($rates->home);
        $sides = [];
        foreach ($standings as $standing) {
            $sides[$standing->side->value] = true;
            $balance = $rates->orNull($standing->balance, $today);
            if ($balance !== null) {
                $net = $standing->side === Side::Client ? $net->plus($balance) : $net->minus($balance);
            }
        }

        return count($sides) === 2 ? MoneyData::of($net) : null;
    }
}
