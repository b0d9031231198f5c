<?php

declare(strict_types=1);

namespace App\Http\Data\Ledger;

use App\Facts\Ledger\UseCheck;
use OpenApi\Attributes as OA;

/** What stands against a document. */
#[OA\Schema(schema: 'DocumentUse')]
final readonly class UseData
{
    /**
     * @param list<string> $stops
     * @param list<string> $notes
     */
    private function __construct(
        #[OA\Property(description: 'Cautions that forbid it.', items: new OA\Items(type: 'string'))] public array $stops,
        #[OA\Property(description: 'Cautions to be read.', items: new OA\Items(type: 'string'))] public array $notes,
        #[
            OA\Property(
                description: 'What the office does when the limit would be passed; null when it would not.',
                enum: ['tell', 'ask', 'stop'],
                nullable: true,
            ),
        ]
        public ?string $policy,
        #[OA\Property(description: 'The figures of the credit limit; empty without one.')]
        public string $creditSentence,
    ) {
    }

    public static function of(UseCheck $check): self
    {
        return new self($check->stops, $check->notes, $check->policy?->value, $check->creditSentence);
    }
}
