<?php

declare(strict_types=1);

namespace App\Http\Data\Engagements;

use Almanac\Engagements\EngagementFigures;
use App\Http\Data\Ledger\AgeingBucketData;
use App\Http\Data\Ledger\DaysToPayData;
use App\Http\Data\Ledger\MoneyData;
use App\Models\Office;
use OpenApi\Attributes as OA;

/** What a case or a project comes to, in one currency. */
#[OA\Schema(schema: 'EngagementFigures')]
final readonly class EngagementFiguresData
{
    /** @param  list<AgeingBucketData>  $ageing */
    private function __construct(
        #[OA\Property(ref: '#/components/schemas/Money', description: 'The fee or the budget.', nullable: true)]
        public ?MoneyData $agreed,
        #[OA\Property(ref: '#/components/schemas/Money', description: 'Invoices less credit notes, without tax.')]
        public MoneyData $billed,
        #[OA\Property(ref: '#/components/schemas/Money', description: 'Of those, with tax.')]
        public MoneyData $open,
        #[OA\Property(ref: '#/components/schemas/Money', description: 'Payments for it.')]
        public MoneyData $received,
        #[OA\Property(ref: '#/components/schemas/Money', description: 'Bills of others for it, without tax.')]
        public MoneyData $bills,
        #[OA\Property(ref: '#/components/schemas/Money', description: 'Of what was agreed, not billed yet.', nullable: true)]
        public ?MoneyData $left,
        #[OA\Property(description: 'Billed of what was agreed, in per cent.', nullable: true)]
        public ?int $percent,
        #[OA\Property(description: 'Of what is open, past its due date.', ref: '#/components/schemas/Money')]
        public MoneyData $overdue,
        #[OA\Property(
            description: 'Of its invoices; they add up to what is open of them.',
            items: new OA\Items(ref: '#/components/schemas/AgeingBucket'),
        )]
        public array $ageing,
        #[OA\Property(ref: '#/components/schemas/DaysToPay', nullable: true)]
        public ?DaysToPayData $daysToPay,
    ) {
    }

    public static function of(EngagementFigures $figures): self
    {
        return new self(
            MoneyData::orNull($figures->agreed),
            MoneyData::of($figures->billed),
            MoneyData::of($figures->open),
            MoneyData::of($figures->received),
            MoneyData::of($figures->bills),
            MoneyData::orNull($figures->left),
            $figures->percent,
            MoneyData::of($figures->clients->overdue),
            AgeingBucketData::all($figures->clients->ageing, Office::current()->ageing_by),
            DaysToPayData::orNull($figures->clients->daysToPay),
        );
    }
}
