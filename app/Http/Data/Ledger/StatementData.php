<?php

declare(strict_types=1);

namespace App\Http\Data\Ledger;

use Almanac\Calendar\Day;
use App\Facts\Ledger\AccountStatement;
use App\Models\Document;
use App\Models\Office;
use OpenApi\Attributes as OA;

/** A statement of account on one side in one currency, and what is open at its end. */
#[OA\Schema(schema: 'Statement')]
final readonly class StatementData
{
    /**
     * @param list<StatementLineData> $lines
     * @param list<DocumentRowData> $open
     * @param list<AgeingBucketData> $ageing
     */
    public function __construct(
        #[OA\Property]
        public string $currency,
        #[OA\Property(description: 'As in 1 Jan 2026 to 24 Nov 2026.')]
        public string $period,
        #[OA\Property]
        public string $toText,
        #[OA\Property(ref: '#/components/schemas/Money')]
        public MoneyData $opening,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/StatementLine'))]
        public array $lines,
        #[OA\Property(ref: '#/components/schemas/Money')]
        public MoneyData $closing,
        #[OA\Property(description: 'What is open today.', items: new OA\Items(ref: '#/components/schemas/DocumentRow'))]
        public array $open,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/AgeingBucket'))]
        public array $ageing,
        #[OA\Property(description: 'Too long to be put on paper while somebody waits.')]
        public bool $isLong,
    ) {
    }

    public static function of(AccountStatement $account, Day $today): self
    {
        return new self(
            $account->currency,
            $account->period->toText(),
            $account->until->toText(),
            MoneyData::of($account->statement->opening),
            array_map(
                fn (array $line) => new StatementLineData($line[0]->toText(), $line[1], MoneyData::of($line[2]), MoneyData::of($line[3])),
                $account->statement->lines,
            ),
            MoneyData::of($account->statement->closing),
            array_values($account->open->map(fn (Document $document) => DocumentRowData::of($document, $today))->all()),
            AgeingBucketData::all($account->ageing, Office::current()->ageing_by),
            $account->isLong(),
        );
    }
}
