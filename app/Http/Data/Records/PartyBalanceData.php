<?php

declare(strict_types=1);

namespace App\Http\Data\Records;

use App\Models\Balance;
use OpenApi\Attributes as OA;

/** What a record of a list owes and is owed, in the currency of the office. */
#[OA\Schema(schema: 'PartyBalance')]
final readonly class PartyBalanceData
{
    private function __construct(
        #[OA\Property]
        public int $partyId,
        #[OA\Property(description: 'For reading; empty for nothing.')]
        public string $receivable,
        #[OA\Property]
        public string $payable,
        #[OA\Property]
        public string $overdue,
        #[OA\Property(description: 'Days that clients take to pay, to one decimal; empty where none has paid lately.')]
        public string $daysToPay,
        #[OA\Property]
        public bool $isOverLimit,
    ) {
    }

    public static function of(Balance $balance): self
    {
        $text = fn (string $column) => $balance->amount($column)?->figures() ?? '';

        return new self(
            $balance->party_id, $text('receivable'), $text('payable'), $text('overdue'),
            (string) $balance->daysToPay(), $balance->is_over_limit,
        );
    }
}
