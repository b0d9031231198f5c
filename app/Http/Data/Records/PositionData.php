<?php

declare(strict_types=1);

namespace App\Http\Data\Records;

use Almanac\Calendar\Day;
use App\Models\Party;
use App\Models\Position;
use OpenApi\Attributes as OA;

/** A position, seen from one of its ends. */
#[OA\Schema(schema: 'Position')]
final readonly class PositionData
{
    /** @param  list<string>  $duties */
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property(description: 'The party at the other end.', ref: '#/components/schemas/PartyRow')]
        public PartyRowData $party,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public string $department,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $duties,
        #[OA\Property(description: 'Whether the company is reached through this person.')]
        public bool $isPrimary,
        #[OA\Property(format: 'date', nullable: true)]
        public ?string $since,
        #[OA\Property(format: 'date', nullable: true)]
        public ?string $until,
        #[OA\Property(description: 'As it is typed again when it is edited; empty when there is none.')]
        public string $sinceText,
        #[OA\Property]
        public string $untilText,
        #[OA\Property]
        public string $periodText,
        #[OA\Property]
        public bool $isInForce,
    ) {
    }

    public static function of(Position $position, Party $seenFrom, Day $today): self
    {
        return new self(
            $position->id,
            PartyRowData::of($position->otherThan($seenFrom)),
            $position->title,
            $position->department,
            array_values($position->duties->map(fn ($duty) => $duty->value)->all()),
            $position->is_primary,
            $position->since?->toIso(),
            $position->until?->toIso(),
            $position->since?->toText() ?? '',
            $position->until?->toText() ?? '',
            $position->period()->toText(),
            $position->period()->includes($today),
        );
    }
}
