<?php

declare(strict_types=1);

namespace App\Actions\Ledger;

use Almanac\Calendar\Day;
use Almanac\Ledger\Standing;
use Almanac\Money\Money;
use Almanac\Terms\Side;
use App\Actions\Finding\IndexParties;
use App\Database\Ids;
use App\Database\LongWork;
use App\Facts\Ledger\ClientCredit;
use App\Facts\Ledger\PartyBooks;
use App\Facts\Ledger\Rates;
use App\Models\ClientTerms;
use App\Models\Party;
use App\Time\Clock;
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
            $standings = $balances = [];
            foreach (Party::query()->with($hasLimits ? ['clientTerms.listed'] : [])->findMany(array_keys($books)) as $party) {
                array_push($standings, ...array_map(fn (Standing $standing) => $this->standing($party, $standing), $books[$party->id]));
                $balances[] = $this->balance($party, $books[$party->id], $today, $hasLimits);
            }
            DB::table('standings')->insert($standings);
            DB::table('balances')->insert($balances);
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
        return Ids::of(DB::table('balances')->whereIn('party_id', $ids)->where('is_over_limit', true)->pluck('party_id'));
    }

    /** Those that are different today though nothing happened: something has become overdue. */
    public function freshen(): void
    {
        $stale = DB::table('standings')->where('stale_on', '<=', $this->clock->today()->toIso())->pluck('party_id')->unique();
        // A few at a time: nobody waits for long.
        foreach (array_chunk(Ids::of($stale), self::FEW) as $some) {
            LongWork::step(fn () => $this->refresh(...$some));
        }
    }

    public function everything(): void
    {
        Party::query()->select('id')->chunkById(self::CHUNK, function ($parties): void {
            LongWork::step(fn () => $this->refresh(...$parties->pluck('id')->all()));
        });
    }

    /** @return array<string, mixed> */
    private function standing(Party $party, Standing $standing): array
    {
        return [
            'party_id' => $party->id,
            'side' => $standing->side->value,
            'currency' => $standing->currency,
            'open_minor' => $standing->open->minor,
            'credits_minor' => $standing->credits->minor,
            'unallocated_minor' => $standing->unallocated->minor,
            'overdue_minor' => $standing->overdue->minor,
            'oldest_due_on' => $standing->oldest?->due->toIso(),
            'days_to_pay_tenths' => $standing->daysToPay?->tenths(),
            'stale_on' => $standing->staleOn?->toIso(),
        ];
    }

    /**
     * @param list<Standing> $standings
     *
     * @return array<string, mixed>
     */
    private function balance(Party $party, array $standings, Day $today, bool $hasLimits): array
    {
        $rates = Rates::ofOffice();
        $home = ['receivable_minor' => 0, 'payable_minor' => 0, 'overdue_minor' => 0];
        $days = [];
        foreach ($standings as $standing) {
            $inHome = fn (Money $amount) => $rates->orNull($amount, $today)->minor ?? 0;
            $home["{$standing->side->balance()}_minor"] += $inHome($standing->open);
            if ($standing->side === Side::Client) {
                $home['overdue_minor'] += $inHome($standing->overdue);
                if ($standing->daysToPay !== null) {
                    $days[] = [$standing->daysToPay->count, $standing->daysToPay->tenths()];
                }
            }
        }
        $count = array_sum(array_column($days, 0));
        $credit = $hasLimits ? ClientCredit::of($party, $standings, $today) : null;

        return [
            'party_id' => $party->id,
            'is_in_use' => ! $party->isArchived(),
            ...$home,
            'days_to_pay_tenths' => $count === 0
                ? null
                : intdiv(2 * array_sum(array_map(fn (array $one) => $one[0] * $one[1], $days)) + $count, 2 * $count),
            'is_over_limit' => $credit?->isOver() ?? false,
            'limit_minor' => $credit?->limit->minor,
            'left_minor' => $credit?->left->minor,
            'limit_currency' => $credit?->limit->currency,
        ];
    }
}
