<?php

declare(strict_types=1);

namespace App\Http\Data\Interchange;

use Almanac\Calendar\Day;
use App\Facts\Records\RecordRow;
use App\Models\Party;
use OpenApi\Attributes as OA;

/** Somebody of the book whom a line may be about. */
#[OA\Schema(schema: 'ImportCandidate')]
final readonly class ImportCandidateData
{
    public function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $name,
        #[OA\Property(description: 'Number, where they work, their place.')]
        public string $detail,
        #[OA\Property]
        public bool $isSure,
    ) {
    }

    public static function of(Party $party, Day $today, bool $isSure): self
    {
        $row = RecordRow::of($party, $today);

        return new self(
            $party->id, $party->display_name,
            implode(' · ', array_filter(["#$party->number", $row->position, $row->place, $row->email])), $isSure,
        );
    }
}
