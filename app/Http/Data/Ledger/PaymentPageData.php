<?php

declare(strict_types=1);

namespace App\Http\Data\Ledger;

use OpenApi\Attributes as OA;

/** A page of payments. */
#[OA\Schema(schema: 'PaymentPage')]
final readonly class PaymentPageData
{
    /**
     * @param list<PaymentRowData> $rows
     * @param list<SumData> $sums
     */
    public function __construct(
        #[OA\Property]
        public int $total,
        #[OA\Property]
        public int $page,
        #[OA\Property]
        public int $pages,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/PaymentRow'))]
        public array $rows,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/LedgerSum'))]
        public array $sums,
    ) {
    }
}
