<?php

declare(strict_types=1);

namespace App\Http\Data\Ledger;

use App\Models\Payment;
use App\Models\Settlement;
use OpenApi\Attributes as OA;

/** A payment, and what it was used on. */
#[OA\Schema(schema: 'Payment')]
final readonly class PaymentData
{
    /** @param  list<SettlementData>  $settlements */
    private function __construct(
        #[OA\Property(ref: '#/components/schemas/PaymentRow')]
        public PaymentRowData $row,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/Settlement'))]
        public array $settlements,
        #[OA\Property]
        public string $by,
    ) {
    }

    public static function of(Payment $payment): self
    {
        $payment->load('party', 'user', 'settlements.document', 'settlements.credit', 'settlements.user');

        return new self(PaymentRowData::of($payment), array_values($payment->settlements->map(fn (Settlement $one) => SettlementData::of($one))->all()), $payment->user->name);
    }
}
