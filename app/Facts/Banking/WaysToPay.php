<?php

declare(strict_types=1);

namespace App\Facts\Banking;

use Almanac\Banking\BankState;
use Almanac\Banking\WayToPay;
use Almanac\Calendar\Day;
use Almanac\Cautions\CautionUse;
use App\Facts\Readiness\RecordFacts;
use App\Models\BankDetail;
use App\Models\Party;
use Illuminate\Database\Eloquent\Collection;

/** Reads in which ways money may go to a party, and to which accounts. */
final readonly class WaysToPay
{
    /** @param  Collection<int, BankDetail>  $accounts those in force */
    private function __construct(public WayToPay $way, public Collection $accounts)
    {
    }

    public static function of(Party $party, Day $today): self
    {
        $details = $party->bankDetails()->get();
        $isWaiting = fn (bool $isName) => $details->contains(
            fn (BankDetail $one) => in_array($one->state, BankDetail::WAITING, true) && ($one->kind === BankDetail::PAYEE) === $isName,
        );
        $inForce = $details->filter(fn (BankDetail $one) => $one->state === BankState::Confirmed && $one->kind !== BankDetail::PAYEE);
        $isStopped = RecordFacts::of($party->load(RecordFacts::RELATIONS), $today)->isStoppedFor(CautionUse::Paying);

        return new self(new WayToPay($isStopped, $inForce->isNotEmpty(), $isWaiting(false), $isWaiting(true)), $inForce);
    }
}
