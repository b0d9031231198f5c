<?php

declare(strict_types=1);

namespace App\Http\Data\Ledger;

use App\Http\Data\Engagements\EngagementLinkData;
use App\Models\Allocation;
use App\Models\Payment;
use OpenApi\Attributes as OA;

/** A payment, and what it was used on. */
#[OA\Schema(schema: 'Payment')]
final readonly class PaymentData
{
    /** @param  list<AllocationData>  $allocations */
    private function __construct(
        #[OA\Property(ref: '#/components/schemas/PaymentRow')]
        public PaymentRowData $row,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/Allocation'))]
        public array $allocations,
        #[OA\Property]
        public string $by,
        #[OA\Property(ref: '#/components/schemas/EngagementLink', description: 'The case or project that it is for.', nullable: true)]
        public ?EngagementLinkData $engagement,
    ) {
    }

    public static function of(Payment $payment): self
    {
        $payment->load('party', 'user', 'engagement', 'allocations.document', 'allocations.credit', 'allocations.user');

        return new self(
            PaymentRowData::of($payment),
            array_values($payment->allocations->map(fn (Allocation $one) => AllocationData::of($one))->all()),
            $payment->user->name,
            EngagementLinkData::orNull($payment->engagement),
        );
    }
}
