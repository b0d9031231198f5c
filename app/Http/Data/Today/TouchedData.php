<?php

declare(strict_types=1);

namespace App\Http\Data\Today;

use Almanac\Calendar\Day;
use Almanac\Records\SectionName;
use App\Http\Data\Records\PartyRowData;
use App\Models\Change;
use App\Models\Party;
use OpenApi\Attributes as OA;

/** A record that somebody changed lately. */
#[OA\Schema(schema: 'Touched')]
final readonly class TouchedData
{
    private function __construct(
        #[OA\Property(ref: '#/components/schemas/PartyRow')]
        public PartyRowData $party,
        #[OA\Property]
        public string $section,
        #[OA\Property]
        public string $by,
        #[OA\Property(format: 'date-time')]
        public string $at,
    ) {
    }

    public static function of(Party $party, Change $change, Day $today): self
    {
        return new self(
            PartyRowData::of($party, $today),
            SectionName::from($change->section)->title(),
            $change->user->name,
            $change->at->toIso8601String(),
        );
    }
}
