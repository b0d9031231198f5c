<?php

declare(strict_types=1);

namespace App\Http\Data\Records;

use Almanac\Money\Money;
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

    public static function of(Balance $balance, string $currency): self
    {
        $text = fn (int $minor) => $minor === 0 ? '' : Money::ofMinor($minor, $currency)->figures();

        return new self(
            $balance->party_id, $text($balance->receivable), $text($balance->payable), $text($balance->overdue),
            $balance->days_to_pay === null ? '' : number_format($balance->days_to_pay, 1), $balance->is_over_limit,
        );
    }
}
