<?php

declare(strict_types=1);

namespace App\Http\Data\Banking;

use OpenApi\Attributes as OA;

/** The section "Bank and cards". */
#[OA\Schema(schema: 'Bank')]
final readonly class BankData
{
    /**
     * @param list<BankDetailData> $current
     * @param list<BankDetailData> $history
     * @param list<CardData> $cards
     */
    public function __construct(
        #[OA\Property(description: 'In force, and on hold.', items: new OA\Items(ref: '#/components/schemas/BankDetail'))]
        public array $current,
        #[OA\Property(description: 'What was before, the newest first.', items: new OA\Items(ref: '#/components/schemas/BankDetail'))]
        public array $history,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/Card'))]
        public array $cards,
    ) {
    }
}
