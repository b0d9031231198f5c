<?php

declare(strict_types=1);

namespace App\Http\Data\Ledger;

use Almanac\Terms\Side;
use OpenApi\Attributes as OA;

/** How a party stands on one side in one currency. */
#[OA\Schema(schema: 'SideStanding')]
final readonly class SideStandingData
{
    /** @param  list<AgeingBucketData>  $ageing */
    public function __construct(
        #[OA\Property(enum: Side::class)]
        public string $side,
        #[OA\Property]
        public string $currency,
        #[OA\Property(ref: '#/components/schemas/Money')]
        public MoneyData $open,
        #[OA\Property(description: 'Credit notes that are not used yet.', ref: '#/components/schemas/Money')]
        public MoneyData $credits,
        #[OA\Property(description: 'Money that is not used yet.', ref: '#/components/schemas/Money')]
        public MoneyData $unallocated,
        #[OA\Property(ref: '#/components/schemas/Money')]
        public MoneyData $balance,
        #[OA\Property(ref: '#/components/schemas/Money')]
        public MoneyData $overdue,
        #[OA\Property(description: 'They add up to what is open.', items: new OA\Items(ref: '#/components/schemas/AgeingBucket'))]
        public array $ageing,
        #[OA\Property(ref: '#/components/schemas/DueDocument', nullable: true)]
        public ?DueDocumentData $oldest,
        #[OA\Property(ref: '#/components/schemas/DueDocument', nullable: true)]
        public ?DueDocumentData $nextDue,
        #[OA\Property(ref: '#/components/schemas/DaysToPay', nullable: true)]
        public ?DaysToPayData $daysToPay,
        #[OA\Property(description: 'A warning that something has been open for long; empty without one.')]
        public string $warning,
        #[OA\Property(description: 'In the office’s currency, with the rate’s day, where it is another; empty where not.')]
        public string $inHome,
        #[OA\Property(description: 'Invoiced, or billed, this calendar year, without tax.', ref: '#/components/schemas/Money')]
        public MoneyData $turnover,
        #[OA\Property(description: 'Received, or paid, this calendar year.', ref: '#/components/schemas/Money')]
        public MoneyData $paid,
    ) {
    }
}
