<?php

declare(strict_types=1);

namespace App\Http\Data\Banking;

use App\Models\BankDetail;
use OpenApi\Attributes as OA;

/** An account in force that a transfer can go to. */
#[OA\Schema(schema: 'PayTo')]
final readonly class PayToData
{
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property(description: 'Kind and masked number.')]
        public string $text,
    ) {
    }

    public static function of(BankDetail $detail): self
    {
        return new self($detail->id, "{$detail->kindTitle()} {$detail->masked}");
    }
}
