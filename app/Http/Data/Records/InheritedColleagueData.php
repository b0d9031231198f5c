<?php

declare(strict_types=1);

namespace App\Http\Data\Records;

use Almanac\Records\Inherited;
use App\Http\Data\Office\ColleagueData;
use App\Models\User;
use OpenApi\Attributes as OA;

/** A colleague whom the record has of its own, or takes over from its company. */
#[OA\Schema(schema: 'InheritedColleague')]
final readonly class InheritedColleagueData
{
    private function __construct(
        #[OA\Property(description: 'Its own.', ref: '#/components/schemas/Colleague', nullable: true)]
        public ?ColleagueData $own,
        #[OA\Property(description: 'Who it is, its own or not.', ref: '#/components/schemas/Colleague', nullable: true)]
        public ?ColleagueData $inForce,
        #[OA\Property(description: 'The record it is taken over from; empty for its own.')]
        public string $from,
    ) {
    }

    /** @param  Inherited<User>  $inherited */
    public static function of(?User $own, Inherited $inherited): self
    {
        return new self(ColleagueData::orNull($own), ColleagueData::orNull($inherited->value), $inherited->from);
    }
}
