<?php

declare(strict_types=1);

namespace App\Http\Data\Ledger;

use App\Models\Allocation;
use OpenApi\Attributes as OA;

/** What lowered the open amount of a document. */
#[OA\Schema(schema: 'Allocation')]
final readonly class AllocationData
{
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property(enum: ['payment', 'credit', 'discount', 'write-off'])]
        public string $kind,
        #[OA\Property(ref: '#/components/schemas/DocumentLink')]
        public DocumentLinkData $document,
        #[OA\Property(nullable: true)]
        public ?int $paymentId,
        #[OA\Property(ref: '#/components/schemas/DocumentLink', nullable: true)]
        public ?DocumentLinkData $credit,
        #[OA\Property(ref: '#/components/schemas/Money')]
        public MoneyData $amount,
        #[OA\Property]
        public string $dayText,
        #[OA\Property]
        public string $reason,
        #[OA\Property]
        public string $by,
    ) {
    }

    public static function of(Allocation $allocation): self
    {
        return new self(
            $allocation->id, $allocation->kind, DocumentLinkData::of($allocation->document), $allocation->payment_id,
            $allocation->credit === null ? null : DocumentLinkData::of($allocation->credit),
            MoneyData::of($allocation->document->money($allocation->amount_minor)),
            $allocation->allocated_on->toText(),
            $allocation->reason,
            $allocation->user->name,
        );
    }
}
