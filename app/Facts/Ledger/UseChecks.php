<?php

declare(strict_types=1);

namespace App\Facts\Ledger;

use Almanac\Cautions\CautionLevel;
use Almanac\Cautions\CautionUse;
use Almanac\Ledger\CreditPolicy;
use Almanac\Ledger\DocumentKind;
use Almanac\Money\Money;
use Almanac\Terms\Side;
use App\Models\Caution;
use App\Models\Document;
use App\Models\Party;
use App\Time\Clock;

/** Says what stands against a document before it is saved: cautions, and the credit limit with its figures. */
final readonly class UseChecks
{
    public function __construct(private Clock $clock)
    {
    }

    public function of(Party $party, DocumentKind $kind, Money $total, ?Document $source = null): UseCheck
    {
        $today = $this->clock->today();
        $cautions = $party
            ->cautions()
            ->get()
            ->filter(
                fn (Caution $one) => $one
                    ->value()
                    ->concerns($kind->side() === Side::Client ? CautionUse::Billing : CautionUse::Paying, $today),
            );
        [$policy, $sentence] = $this->credit($party, $kind, $total, $source);

        return new UseCheck(
            array_values(
                $cautions->filter(fn (Caution $one) => $one->level === CautionLevel::Stop)->map(fn (Caution $one) => $one->text)->all(),
            ),
            array_values(
                $cautions->filter(fn (Caution $one) => $one->level === CautionLevel::Note)->map(fn (Caution $one) => $one->text)->all(),
            ),
            $policy,
            $sentence,
        );
    }

    /** @return array{CreditPolicy|null, string} */
    private function credit(Party $party, DocumentKind $kind, Money $total, ?Document $source): array
    {
        if ($kind !== DocumentKind::Invoice && $kind !== DocumentKind::Order) {
            return [null, ''];
        }
        $today = $this->clock->today();
        $credit = ClientCredit::of($party, PartyBooks::ofMany([$party->id], $today)[$party->id] ?? [], $today);
        if ($credit === null) {
            return [null, ''];
        }
        // What it was ordered by counts already.
        $addition =
            $source !== null && $source->kind === DocumentKind::Order && $source->state->isOpen() ? $total->minus($source->open()) : $total;
        $rates = Rates::ofOffice();
        if ($addition->currency !== $credit->limit->currency) {
            $addition =
                ($credit->limit->currency === $rates->home ? $rates->orNull($addition, $today) : null) ??
                Money::zero($credit->limit->currency);
        }

        return $credit->check($addition);
    }
}
