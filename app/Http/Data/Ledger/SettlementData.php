<?php

declare(strict_types=1);

namespace App\Http\Data\Ledger;

use App\Models\Settlement;
use OpenApi\Attributes as OA;

/** What lowered the open amount of a document. */
#[OA\Schema(schema: 'Settlement')]
final readonly class SettlementData
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

    public static function of(Settlement $settlement): self
    {
        return new self(
            $settlement->id, $settlement->kind, DocumentLinkData::of($settlement->document), $settlement->payment_id,
            $settlement->credit === null ? null : DocumentLinkData::of($settlement->credit),
            MoneyData::of($settlement->document->money($settlement->amount_minor)), $settlement->day->toText(), $settlement->reason, $settlement->user->name,
        );
    }
}
