<?php

declare(strict_types=1);

namespace App\Http\Data\Readiness;

use Almanac\Calendar\Day;
use Almanac\Money\Money;
use Almanac\Readiness\Readiness;
use App\Http\Data\Records\PartyRowData;
use App\Models\Office;
use App\Models\Party;
use OpenApi\Attributes as OA;

/** A record in the worklist of gaps. */
#[OA\Schema(schema: 'GapRow')]
final readonly class GapRowData
{
    /** @param  list<ReadinessData>  $readiness */
    private function __construct(
        #[OA\Property(ref: '#/components/schemas/PartyRow')]
        public PartyRowData $party,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/Readiness'))]
        public array $readiness,
        #[OA\Property(description: 'What they owe and are owed together, for reading; empty for nothing.')]
        public string $atStake,
    ) {
    }

    /** @param  list<Readiness>  $readiness */
    public static function of(Party $party, array $readiness, Day $today): self
    {
        $stake = ($party->balance->receivable_minor ?? 0) + ($party->balance->payable_minor ?? 0);

        return new self(
            PartyRowData::of($party, $today),
            array_map(ReadinessData::of(...), $readiness),
            $stake === 0 ? '' : Money::ofMinor($stake, Office::current()->currency())->toText(),
        );
    }
}
