<?php

declare(strict_types=1);

namespace App\Actions\Books;

use Almanac\Ledger\LedgerRefused;
use Almanac\Money\ExchangeRates;
use Almanac\Money\Money;
use App\Actions\Ledger\KeepStandings;
use App\Models\CurrencyRate;
use App\Models\Document;
use App\Models\Office;
use App\Time\TypedDates;
use App\Validation\FieldProblems;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Once;
use Illuminate\Validation\ValidationException;

/** Keeps what other currencies were worth, by day. */
final readonly class KeepCurrencyRates
{
    public function __construct(private TypedDates $dates, private KeepStandings $standings)
    {
    }

    /**
     * @param array{currency: string, day: string, rate: string} $input
     *
     * @throws ValidationException
     */
    public function save(array $input): void
    {
        DB::transaction(function () use ($input): void {
            $problems = new FieldProblems;
            $currency = $problems->at('currency', fn () => Money::zero(mb_strtoupper(trim($input['currency'])))->currency);
            if ($currency === Office::current()->currency()) {
                $problems->add('currency', 'That is the office’s own currency.');
            }
            $day = $this->dates->day($input['day'] === '' ? 'today' : $input['day'], 'day', $problems);
            $rate = $problems->at('rate', fn () => ExchangeRates::readRate($input['rate'], Office::current()->decimalSign()));
            $problems->throwIfAny();
            $kept = CurrencyRate::query()->where('currency', $currency)->where('quoted_on', $day?->toIso())->firstOrNew();
            $kept->fill(['currency' => $currency, 'quoted_on' => $day, 'rate' => (string) $rate])->save();
            $this->recount((string) $currency);
        });
    }

    /** @throws LedgerRefused when documents need it */
    public function remove(CurrencyRate $rate): void
    {
        DB::transaction(function () use ($rate): void {
            $rate->delete();
            $isNeeded =
                Document::query()->where('currency', $rate->currency)->exists() &&
                ! CurrencyRate::query()
                    ->where('currency', $rate->currency)
                    ->where('quoted_on', '<=', Document::query()->where('currency', $rate->currency)->min('dated_on'))
                    ->exists();
            if ($isNeeded) {
                throw LedgerRefused::neededRate($rate->currency);
            }
            $this->recount($rate->currency);
        });
    }

    /** What is worth another amount in the office's currency now. */
    private function recount(string $currency): void
    {
        Once::flush();
        $this->standings->refresh(...DB::table('standings')->where('currency', $currency)->distinct()->pluck('party_id')->all());
    }
}
