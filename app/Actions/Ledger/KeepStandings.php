<?php

declare(strict_types=1);

namespace App\Actions\Ledger;

use Almanac\Calendar\Day;
use Almanac\Ledger\Credit;
use Almanac\Ledger\Side;
use Almanac\Ledger\Standing;
use Almanac\Money\Money;
use App\Actions\Finding\IndexParties;
use App\Models\ClientTerms;
use App\Models\Document;
use App\Models\Party;
use App\Queries\Ledger\PartyBooks;
use App\Support\Clock;
use App\Support\Rates;
use App\Support\SideDefaults;
use Illuminate\Support\Facades\DB;

/** Keeps what everybody owes and is owed in step with documents and money. Runs inside the transaction of the change. */
final readonly class KeepStandings
{
    private const CHUNK = 200;

    private const FEW = 25;

    public function __construct(private Clock $clock, private IndexParties $index)
    {
    }

    public function refresh(int ...$partyIds): void
    {
        $today = $this->clock->today();
        // Where nobody has a limit, nobody needs to be asked for one.
        $hasLimits = ClientTerms::query()->whereNotNull('limit_minor')->exists();
        foreach (array_chunk(array_unique($partyIds), self::CHUNK) as $ids) {
            $before = $this->overLimit($ids);
            DB::table('standings')->whereIn('party_id', $ids)->delete();
            DB::table('balances')->whereIn('party_id', $ids)->delete();
            $books = PartyBooks::ofMany($ids, $today);
            foreach (Party::query()->with('clientTerms.listed')->findMany($ids) as $party) {
                $this->write($party, $books[$party->id] ?? [], $today, $hasLimits);
            }
            $after = $this->overLimit($ids);
            // Who crosses the limit lacks something now, or no longer.
            $this->index->gaps([...array_diff($after, $before), ...array_diff($before, $after)]);
        }
    }

    /**
     * @param array<int> $ids
     *
     * @return list<int>
     */
    private function overLimit(array $ids): array
    {
        return array_values(array_map(intval(...), array_filter(DB::table('balances')->whereIn('party_id', $ids)->where('is_over_limit', true)->pluck('party_id')->all(), is_numeric(...))));
    }

    /** Those that are different today though nothing happened: something has become overdue. */
    public function freshen(): void
    {
        $stale = DB::table('standings')->where('stale_on', '<=', $this->clock->today()->toIso())->pluck('party_id')->unique()->all();
        // A few at a time: nobody waits for long.
        foreach (array_chunk(array_map(intval(...), array_filter($stale, is_numeric(...))), self::FEW) as $some) {
            DB::transaction(fn () => $this->refresh(...$some));
        }
    }

    public function everything(): void
    {
        Party::query()->select('id')->chunkById(self::CHUNK, function ($parties): void {
            DB::transaction(fn () => $this->refresh(...$parties->pluck('id')->all()));
        });
    }

    /** @param  list<Standing>  $standings */
    private function write(Party $party, array $standings, Day $today, bool $hasLimits): void
    {
        if ($standings === []) {
            return;
        }
        $rates = Rates::ofOffice();
        $home = ['receivable' => 0, 'payable' => 0, 'overdue' => 0];
        $days = [];
        foreach ($standings as $standing) {
            DB::table('standings')->insert([
                'party_id' => $party->id,
                'side' => $standing->side->value,
                'currency' => $standing->currency,
                'open_minor' => $standing->open->minor,
                'credits_minor' => $standing->credits->minor,
                'unallocated_minor' => $standing->unallocated->minor,
                'overdue_minor' => $standing->overdue->minor,
                'oldest_due' => $standing->oldest?->due->toIso(),
                'days_to_pay' => $standing->daysToPay?->days,
                'stale_on' => $standing->staleOn?->toIso(),
            ]);
            $inHome = fn (Money $amount) => $rates->orNull($amount, $today)->minor ?? 0;
            $home[$standing->side->balance()] += $inHome($standing->open);
            if ($standing->side === Side::Client) {
                $home['overdue'] += $inHome($standing->overdue);
                if ($standing->daysToPay !== null) {
                    $days[] = [$standing->daysToPay->count, (float) $standing->daysToPay->days];
                }
            }
        }
        $count = array_sum(array_column($days, 0));
        DB::table('balances')->insert(['party_id' => $party->id, ...$home,
            'days_to_pay' => $count === 0 ? null : array_sum(array_map(fn (array $one) => $one[0] * $one[1], $days)) / $count,
            'is_over_limit' => $hasLimits && ($this->credit($party, $standings, $today)?->isOver() ?? false),
        ]);
    }

    /**
     * How much of its credit limit a client uses, in the currency of the limit.
     *
     * @param list<Standing> $standings
     */
    public function credit(Party $party, array $standings, Day $today): ?Credit
    {
        $defaults = SideDefaults::of($party, Side::Client, $today);
        $limit = $defaults->limit();
        if ($limit === null) {
            return null;
        }
        $rates = Rates::ofOffice();
        $in = function (Money $amount) use ($limit, $rates, $today): Money {
            // Another currency counts by way of the office's own; without a rate it cannot count.
            if ($amount->currency === $limit->currency) {
                return $amount;
            }

            return ($limit->currency === $rates->home ? $rates->orNull($amount, $today) : null) ?? Money::zero($limit->currency);
        };
        $clients = array_filter($standings, fn (Standing $one) => $one->side === Side::Client);
        $sum = fn (\Closure $part) => Money::sum(array_map(fn (Standing $standing) => $in($part($standing)), $clients), $limit->currency);
        $orders = Document::query()->where('party_id', $party->id)->where('kind', 'order')->open()->get()->map(fn (Document $order) => $in($order->open()));

        return Credit::of(
            $limit,
            $sum(fn (Standing $standing) => $standing->open),
            Money::sum($orders, $limit->currency),
            $sum(fn (Standing $standing) => $standing->unallocated->plus($standing->credits)),
            $defaults->creditPolicy(),
        );
    }
}
