<?php

declare(strict_types=1);

namespace App\Queries\Banking;

use Almanac\Access\Permission;
use Almanac\Banking\BankState;
use App\Http\Data\Banking\BankData;
use App\Http\Data\Banking\BankDetailData;
use App\Http\Data\Banking\CardData;
use App\Models\BankDetail;
use App\Models\Card;
use App\Models\Party;
use App\Time\Clock;
use Illuminate\Support\Facades\Auth;

/** Reads the bank details of a record: what is in force, what is on hold, and what was before. */
final readonly class ReadBank
{
    public function __construct(private Clock $clock)
    {
    }

    public function handle(Party $party): BankData
    {
        $reader = Auth::user();
        $mayApprove = $reader?->can(Permission::ApproveChanges->value) === true;
        $details = $party->loadMissing('bankDetails.user', 'bankDetails.decidedBy', 'bankDetails.endUser')->bankDetails;
        $month = substr($this->clock->today()->toIso(), 0, 7);
        $isCurrent = fn (BankDetail $detail) => in_array($detail->state, [BankState::Confirmed, ...BankDetail::WAITING], true);
        $data = fn (BankDetail $detail) => BankDetailData::of($detail, $mayApprove, (int) $reader?->getAuthIdentifier());

        return new BankData(
            array_values($details->filter($isCurrent)->map($data)->all()),
            array_values($details->reject($isCurrent)->map($data)->all()),
            array_values($party->cards()->get()->map(fn (Card $card) => CardData::of($card, $month))->all()),
        );
    }
}
