<?php

declare(strict_types=1);

namespace App\Http\Data\Records;

use Almanac\Calendar\Day;
use Almanac\Records\PartyKind;
use App\Facts\Records\RecordRow;
use App\Models\Party;
use OpenApi\Attributes as OA;

/** A record in a list. Load the party with RELATIONS. */
#[OA\Schema(schema: 'PartyRow')]
final readonly class PartyRowData
{
    public const RELATIONS = RecordRow::READS;

    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property(enum: PartyKind::class)]
        public string $kind,
        #[OA\Property]
        public int $number,
        #[OA\Property]
        public string $displayName,
        #[OA\Property]
        public string $fileAs,
        #[OA\Property]
        public bool $isClient,
        #[OA\Property]
        public bool $isVendor,
        #[OA\Property]
        public bool $isArchived,
        #[OA\Property(description: 'Where a person works, as in "Director, Brass & Sons".')]
        public string $position,
        #[OA\Property]
        public string $place,
        #[OA\Property]
        public string $phone,
        #[OA\Property]
        public string $email,
    ) {
    }

    /** Load the party with RELATIONS. */
    public static function of(Party $party, Day $today): self
    {
        return self::ofRow(RecordRow::of($party, $today));
    }

    public static function ofRow(RecordRow $row): self
    {
        return new self(...get_object_vars($row));
    }
}
