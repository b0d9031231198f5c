<?php

declare(strict_types=1);

namespace App\Http\Data\Records;

use Almanac\Calendar\Day;
use App\Facts\Records\RecordRow;
use App\Models\Position;
use OpenApi\Attributes as OA;

/** A position, seen from one of its ends. */
#[OA\Schema(schema: 'Position')]
final readonly class PositionData
{
    /**
     * @param list<string> $duties
     * @param list<string> $firstFor
     */
    private function __construct(
        #[OA\Property] public int $id,
        #[OA\Property(description: 'The party at the other end.', ref: '#/components/schemas/PartyRow')] public PartyRowData $party,
        #[OA\Property] public string $title,
        #[OA\Property] public string $department,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $duties,
        #[
            OA\Property(
                description: 'Those of the duties that this person is the first to be asked about.',
                items: new OA\Items(type: 'string'),
            ),
        ]
        public array $firstFor,
        #[OA\Property(description: 'Whether the company is reached through this person.')]
        public bool $isPrimary,
        #[OA\Property(ref: '#/components/schemas/Period')]
        public PeriodData $period,
    ) {
    }

    public static function of(Position $position, RecordRow $other, Day $today): self
    {
        return new self(
            $position->id,
            PartyRowData::ofRow($other),
            $position->title,
            $position->department,
            $position->dutyNames(),
            $position->firstFor(),
            $position->is_primary,
            PeriodData::of($position->period(), $today),
        );
    }
}
