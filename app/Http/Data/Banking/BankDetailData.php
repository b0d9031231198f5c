<?php

declare(strict_types=1);

namespace App\Http\Data\Banking;

use Almanac\Banking\BankState;
use App\Models\BankDetail;
use App\Models\Office;
use OpenApi\Attributes as OA;

/** One version of bank details. */
#[OA\Schema(schema: 'BankDetail')]
final readonly class BankDetailData
{
    private function __construct(
        #[OA\Property] public int $id,
        #[OA\Property(enum: ['iban', 'us', 'uk', BankDetail::PAYEE])] public string $kind,
        #[OA\Property(description: 'As in UK account.')] public string $kindTitle,
        #[OA\Property(description: 'Its last signs.')] public string $masked,
        #[OA\Property] public string $holder,
        #[OA\Property] public string $bankName,
        #[OA\Property(enum: BankState::class)] public string $state,
        #[OA\Property] public string $stateTitle,
        #[OA\Property] public string $enteredBy,
        #[OA\Property] public string $enteredText,
        #[
            OA\Property(
                description: 'As in confirmed on 3 Nov 2026 by Cordelia Vane: called a number known before; empty while it is on hold.',
            ),
        ]
        public string $decidedText,
        #[OA\Property(description: 'Whether whoever reads this may agree to it: an approver, and not who began it.')]
        public bool $mayBeConfirmed,
        #[OA\Property(description: 'Whether whoever reads this may refuse it, ask for its end, or keep it in force.')]
        public bool $mayBeRefused,
        #[OA\Property(description: 'Who asked for its end, and why; empty where nobody did.')]
        public string $endText,
    ) {
    }

    public static function of(BankDetail $detail, bool $mayApprove, int $readerId): self
    {
        $isEnding = $detail->state === BankState::Ending;
        $isSettled = $detail->decidedBy !== null && ! $isEnding;
        $began = $isEnding ? $detail->end_user_id : $detail->user_id;
        $isWaiting = in_array($detail->state, BankDetail::WAITING, true);

        return new self(
            $detail->id,
            $detail->kind,
            $detail->kindTitle(),
            $detail->masked,
            $detail->holder,
            $detail->bank_name,
            $detail->state->value,
            $detail->state->title(),
            $detail->user->name,
            Office::dayOf($detail->created_at),
            $isSettled
                ? trim(
                    sprintf(
                        '%s on %s by %s: %s',
                        $detail->state->title(),
                        $detail->decided_at === null ? '' : Office::dayOf($detail->decided_at),
                        $detail->decidedBy->name,
                        trim($detail->how?->title().' '.$detail->remark),
                    ),
                    ': ',
                )
                : '',
            $isWaiting && $mayApprove && $began !== $readerId,
            $isWaiting ? $mayApprove || $began === $readerId : $detail->state === BankState::Confirmed,
            $isEnding ? trim('its end was asked for by '.($detail->endUser->name ?? '').': '.$detail->remark, ': ') : '',
        );
    }
}
