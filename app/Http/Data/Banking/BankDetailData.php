<?php

declare(strict_types=1);

namespace App\Http\Data\Banking;

use App\Models\BankDetail;
use App\Models\Office;
use OpenApi\Attributes as OA;

/** One version of bank details. */
#[OA\Schema(schema: 'BankDetail')]
final readonly class BankDetailData
{
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property(enum: ['IBAN', 'US account', 'UK account', 'payee name'])]
        public string $kind,
        #[OA\Property(description: 'Its last signs.')]
        public string $masked,
        #[OA\Property]
        public string $holder,
        #[OA\Property]
        public string $bankName,
        #[OA\Property(enum: ['on hold', 'confirmed', 'refused', 'replaced'])]
        public string $state,
        #[OA\Property]
        public string $enteredBy,
        #[OA\Property]
        public string $enteredText,
        #[OA\Property(description: 'As in confirmed on 3 Nov 2026 by Cordelia Vane: called a number known before; empty while it is on hold.')]
        public string $settledText,
        #[OA\Property(description: 'Whether whoever reads this may confirm it: an approver, and not who entered it.')]
        public bool $mayBeConfirmed,
    ) {
    }

    public static function of(BankDetail $detail, bool $mayApprove, int $readerId): self
    {
        return new self(
            $detail->id, $detail->kind, $detail->masked, $detail->holder, $detail->bank_name, $detail->state, $detail->user->name, Office::dayOf($detail->created_at),
            $detail->settledBy === null ? '' : trim(sprintf('%s on %s by %s: %s', $detail->state, $detail->settled_at === null ? '' : Office::dayOf($detail->settled_at), $detail->settledBy->name, $detail->how.$detail->remark), ': '),
            $detail->state === BankDetail::ON_HOLD && $mayApprove && $detail->user_id !== $readerId,
        );
    }
}
