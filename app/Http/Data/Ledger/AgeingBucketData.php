<?php

declare(strict_types=1);

namespace App\Http\Data\Ledger;

use Almanac\Ledger\Ageing;
use Almanac\Ledger\AgeingBucket;
use Almanac\Ledger\AgeingBy;
use OpenApi\Attributes as OA;

/** What is open of one age. */
#[OA\Schema(schema: 'AgeingBucket')]
final readonly class AgeingBucketData
{
    private function __construct(
        #[OA\Property(enum: AgeingBucket::class)]
        public string $bucket,
        #[OA\Property]
        public string $title,
        #[OA\Property(ref: '#/components/schemas/Money')]
        public MoneyData $amount,
        #[OA\Property(description: 'Percent of the whole, for drawing.')]
        public int $share,
    ) {
    }

    /** @return list<self> every bucket, in order */
    public static function all(Ageing $ageing, AgeingBy $by): array
    {
        return array_map(fn (AgeingBucket $bucket) => new self(
            $bucket->value,
            $bucket->title($by),
            MoneyData::of($ageing->bucket($bucket)),
            $ageing->bucket($bucket)->shareOf($ageing->total),
        ), AgeingBucket::cases());
    }
}
