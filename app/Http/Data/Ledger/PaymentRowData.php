<?php

declare(strict_types=1);

namespace App\Http\Data\Ledger;

use Almanac\Banking\PayBy;
use Almanac\Terms\Side;
use App\Http\Data\Records\PartyLinkData;
use App\Models\Payment;
use OpenApi\Attributes as OA;

/** A payment in a list. Load the party. */
#[OA\Schema(schema: 'PaymentRow')]
final readonly class PaymentRowData
{
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property(enum: Side::class)]
        public string $side,
        #[OA\Property(ref: '#/components/schemas/PartyLink')]
        public PartyLinkData $party,
        #[OA\Property]
        public string $dayText,
        #[OA\Property(ref: '#/components/schemas/Money')]
        public MoneyData $amount,
        #[OA\Property(ref: '#/components/schemas/Money')]
        public MoneyData $unallocated,
        #[OA\Property(enum: PayBy::class)]
        public string $payBy,
        #[OA\Property]
        public string $reference,
        #[OA\Property(description: 'Ours with the vendor, as it was told them.')]
        public string $accountNumber,
        #[OA\Property(description: 'Theirs that a transfer went to, masked; empty where none did.')]
        public string $toAccount,
        #[OA\Property]
        public bool $isVoid,
        #[OA\Property]
        public string $voidReason,
    ) {
    }

    public static function of(Payment $payment): self
    {
        return new self(
            $payment->id,
            $payment->side->value,
            PartyLinkData::of($payment->party),
            $payment->paid_on->toText(),
            MoneyData::of($payment->amount()),
            MoneyData::of($payment->unallocated()),
            $payment->pay_by->value,
            $payment->reference,
            $payment->account_number,
            trim($payment->bankDetail?->kindTitle().' '.($payment->bankDetail->masked ?? '')),
            $payment->is_void,
            $payment->void_reason,
        );
    }
}
