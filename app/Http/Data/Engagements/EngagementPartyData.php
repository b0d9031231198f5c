<?php

declare(strict_types=1);

namespace App\Http\Data\Engagements;

use Almanac\Calendar\Day;
use Almanac\Cautions\CautionUse;
use App\Facts\Records\RecordRow;
use App\Http\Data\Records\PartyLinkData;
use App\Http\Data\Records\PartyRowData;
use App\Http\Data\Records\PeriodData;
use App\Models\Caution;
use App\Models\EngagementParty;
use OpenApi\Attributes as OA;

/** What somebody is to a case or a project. */
#[OA\Schema(schema: 'EngagementParty')]
final readonly class EngagementPartyData
{
    /** @param  list<string>  $cautions */
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property(ref: '#/components/schemas/PartyRow')]
        public PartyRowData $party,
        #[OA\Property]
        public int $roleId,
        #[OA\Property]
        public string $role,
        #[OA\Property(ref: '#/components/schemas/PartyLink', description: 'The company through which a person acts.', nullable: true)]
        public ?PartyLinkData $via,
        #[OA\Property(ref: '#/components/schemas/PartyLink', description: 'Whom to ask for at a company.', nullable: true)]
        public ?PartyLinkData $contact,
        #[OA\Property(ref: '#/components/schemas/Period')]
        public PeriodData $period,
        #[OA\Property(description: 'Of what is billed, in per cent, as it is typed again; empty for who does not pay.')]
        public string $share,
        #[OA\Property(description: 'Letters about it go there.')]
        public bool $isMailed,
        #[OA\Property]
        public string $note,
        #[OA\Property(description: 'What is to be minded about them.', items: new OA\Items(type: 'string'))]
        public array $cautions,
    ) {
    }

    public static function of(EngagementParty $one, RecordRow $row, Day $today): self
    {
        return new self(
            $one->id,
            PartyRowData::ofRow($row),
            $one->role_id,
            $one->role->name,
            $one->via === null ? null : PartyLinkData::of($one->via),
            $one->contact === null ? null : PartyLinkData::of($one->contact),
            PeriodData::of($one->period(), $today),
            $one->share ?? '',
            $one->is_mailed,
            $one->note,
            array_values($one->party->cautions
                ->filter(fn (Caution $caution) => $caution->value()->concerns(CautionUse::Any, $today))
                ->map(fn (Caution $caution) => $caution->text)->all()),
        );
    }
}
