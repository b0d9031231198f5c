<?php

declare(strict_types=1);

namespace App\Http\Data\Records;

use Almanac\Calendar\Day;
use Almanac\Names\TogetherAs;
use App\Facts\Records\RecordRow;
use App\Models\Party;
use App\Models\Relation;
use OpenApi\Attributes as OA;

/** A relation, told from one of its ends. */
#[OA\Schema(schema: 'Relation')]
final readonly class RelationData
{
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property(description: 'What the other is to this one.')]
        public string $kind,
        #[OA\Property(description: 'Of spouses: how they are written to.', enum: TogetherAs::class)]
        public string $together,
        #[OA\Property(ref: '#/components/schemas/PartyRow')]
        public PartyRowData $party,
        #[OA\Property(ref: '#/components/schemas/Period')]
        public PeriodData $period,
    ) {
    }

    public static function of(Relation $relation, Party $seenFrom, RecordRow $other, Day $today): self
    {
        return new self(
            $relation->id,
            $relation->seenFrom($seenFrom)->name,
            $relation->together->value,
            PartyRowData::ofRow($other),
            PeriodData::of($relation->period(), $today),
        );
    }
}
