<?php

declare(strict_types=1);

namespace App\Http\Data\Ledger;

use Almanac\Banking\PayBy;
use Almanac\Ledger\DocumentKind;
use Almanac\Ledger\TaxTreatment;
use Almanac\Terms\Side;
use App\Http\Data\Banking\ClosedWayData;
use App\Http\Data\Banking\PayToData;
use OpenApi\Attributes as OA;

/** What a new document for a party begins with. */
#[OA\Schema(schema: 'DocumentDefaults')]
final readonly class DocumentDefaultsData
{
    /**
     * @param list<int> $accountIds
     * @param list<int> $costCentreIds
     * @param list<PayToData> $payTo
     * @param list<ClosedWayData> $closedWays
     */
    public function __construct(
        #[OA\Property(enum: DocumentKind::class)]
        public string $kind,
        #[OA\Property(description: 'As in Credit note.')]
        public string $kindTitle,
        #[OA\Property]
        public string $terms,
        #[OA\Property(enum: TaxTreatment::class)]
        public string $treatment,
        #[OA\Property]
        public string $currency,
        #[OA\Property]
        public string $reference,
        #[OA\Property(nullable: true)]
        public ?int $taxRateId,
        #[OA\Property(nullable: true)]
        public ?int $accountId,
        #[OA\Property(description: 'All that are usual, the first of which it begins with.', items: new OA\Items(type: 'integer'))]
        public array $accountIds,
        #[OA\Property(enum: Side::class)] public string $side,
        #[OA\Property(items: new OA\Items(type: 'integer'))] public array $costCentreIds,
        #[OA\Property] public string $discount,
        #[OA\Property(enum: PayBy::class)]
        public string $payBy,
        #[OA\Property(ref: '#/components/schemas/PartyCopy')] public PartyCopyData $copy,
        #[OA\Property(ref: '#/components/schemas/DocumentUse')] public UseData $use,
        #[
            OA\Property(
                description: 'Of a vendor: the accounts in force that a transfer can go to.',
                items: new OA\Items(ref: '#/components/schemas/PayTo'),
            ),
        ]
        public array $payTo,
        #[
            OA\Property(
                description: 'Of a vendor: the ways in which nothing may be paid now.',
                items: new OA\Items(ref: '#/components/schemas/ClosedWay'),
            ),
        ]
        public array $closedWays,
    ) {
    }
}
