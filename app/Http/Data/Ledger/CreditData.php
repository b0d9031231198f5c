<?php

declare(strict_types=1);

namespace App\Http\Data\Ledger;

use Almanac\Ledger\Credit;
use OpenApi\Attributes as OA;

/** A credit limit, and how much of it is used. */
#[OA\Schema(schema: 'Credit')]
final readonly class CreditData
{
    private function __construct(
        #[OA\Property(ref: '#/components/schemas/Money')]
        public MoneyData $limit,
        #[OA\Property(ref: '#/components/schemas/Money')]
        public MoneyData $exposure,
        #[OA\Property(ref: '#/components/schemas/Money')]
        public MoneyData $left,
        #[OA\Property]
        public bool $isOver,
        #[OA\Property]
        public string $sentence,
        #[OA\Property(description: 'What happens at the limit.')]
        public string $policyWords,
    ) {
    }

    public static function orNull(?Credit $credit): ?self
    {
        return $credit === null
            ? null
            : new self(
                MoneyData::of($credit->limit),
                MoneyData::of($credit->exposure),
                MoneyData::of($credit->left),
                $credit->isOver(),
                $credit->sentence(),
                $credit->policy->title(),
            );
    }
}
