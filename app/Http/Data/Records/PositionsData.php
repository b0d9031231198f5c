<?php

declare(strict_types=1);

namespace App\Http\Data\Records;

use Almanac\Calendar\Day;
use App\Facts\Finding\RecordLine;
use App\Models\Party;
use OpenApi\Attributes as OA;

/** The section "People" of a company, or "Positions" of a person. */
#[OA\Schema(schema: 'Positions')]
final readonly class PositionsData
{
    /** @param  list<PositionData>  $positions */
    private function __construct(
        #[OA\Property]
        public int $version,
        #[OA\Property(items: new OA\Items(ref: '#/components/schemas/Position'))]
        public array $positions,
    ) {
    }

    /** @param  array<int, RecordLine>  $lines  of those at the other ends */
    public static function of(Party $party, int $version, array $lines, Day $today): self
    {
        return new self(
            $version,
            array_values(
                $party
                    ->positions()
                    ->map(fn ($position) => PositionData::of($position, $lines[$position->otherIdThan($party)]->row, $today))
                    ->all(),
            ),
        );
    }
}
