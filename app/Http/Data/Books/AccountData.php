<?php

declare(strict_types=1);

namespace App\Http\Data\Books;

use Almanac\Ledger\AccountKind;
use App\Models\LedgerAccount;
use OpenApi\Attributes as OA;

/** An entry of the chart of accounts. */
#[OA\Schema(schema: 'Account')]
final readonly class AccountData
{
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $code,
        #[OA\Property]
        public string $name,
        #[OA\Property(enum: AccountKind::class)]
        public string $kind,
        #[OA\Property]
        public bool $isRetired,
    ) {
    }

    public static function of(LedgerAccount $kept): self
    {
        return new self($kept->id, $kept->code, $kept->name, $kept->kind->value, $kept->is_retired);
    }
}
