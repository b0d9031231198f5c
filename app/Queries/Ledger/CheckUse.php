<?php

declare(strict_types=1);

namespace App\Queries\Ledger;

use Almanac\Cautions\CautionLevel;
use Almanac\Cautions\CautionUse;
use Almanac\Ledger\DocumentKind;
use Almanac\Ledger\Side;
use Almanac\Money\Money;
use App\Actions\Ledger\KeepStandings;
use App\Http\Data\Ledger\UseData;
use App\Models\Caution;
use App\Models\Document;
use App\Models\Party;
use App\Support\Clock;
use App\Support\Rates;

/** Says what stands against a document before it is saved: cautions, and the credit limit with its figures. */
final readonly class CheckUse
{
    public function __construct(private Clock $clock, private KeepStandings $standings)
    {
    }

    public function handle(Party $party, DocumentKind $kind, Money $total, ?Document $source = null): UseData
    {
        $today = $this->clock->today();
        $cautions = $party->cautions()->get()
            ->filter(fn (Caution $one) => $one->value()->concerns($kind->side() === Side::Client ? CautionUse::Billing : CautionUse::Paying, $today));
        [$policy, $sentence] = $this->credit($party, $kind, $total, $source);

        return new UseData(
            array_values($cautions->filter(fn (Caution $one) => $one->level === CautionLevel::Stop)->map(fn (Caution $one) => $one->text)->all()),
            array_values($cautions->filter(fn (Caution $one) => $one->level === CautionLevel::Note)->map(fn (Caution $one) => $one->text)->all()),
            $policy,
            $sentence,
        );
    }

    /** @return array{string|null, string} */
    private function credit(Party $party, DocumentKind $kind, Money $total, ?Document $source): array
    {
        if ($kind !== DocumentKind::Invoice && $kind !== DocumentKind::Order) {
            return [null, ''];
        }
        $today = $this->clock->today();
        $credit = $this->standings->credit($party, PartyBooks::ofMany([$party->id], $today)[$party->id] ?? [], $today);
        if ($credit === null) {
            return [null, ''];
        }
        // What it was ordered by counts already.
        $addition = $source !== null && $source->kind === DocumentKind::Order && $source->state->isOpen() ? $total->minus($source->open()) : $total;
        $rates = Rates::ofOffice();
        if ($addition->currency !== $credit->limit->currency) {
            $addition = ($credit->limit->currency === $rates->home ? $rates->orNull($addition, $today) : null) ?? Money::zero($credit->limit->currency);
        }
        [$policy, $sentence] = $credit->check($addition);

        return [$policy?->value, $sentence];
    }
}
