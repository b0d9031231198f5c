<?php

declare(strict_types=1);

namespace App\Http\Data\Engagements;

use Almanac\Calendar\Day;
use Almanac\Engagements\StageHistory;
use App\Http\Data\Ledger\MoneyData;
use App\Http\Data\Records\PartyLinkData;
use App\Models\Engagement;
use App\Models\EngagementParty;
use OpenApi\Attributes as OA;

/** A case or a project in a list. Load its kind, stage, owner, place and parties. */
#[OA\Schema(schema: 'EngagementRow')]
final readonly class EngagementRowData
{
    /**
     * @param list<PartyLinkData> $clients
     * @param list<string> $roles
     */
    private function __construct(
        #[OA\Property]
        public int $id,
        #[OA\Property]
        public string $number,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public int $kindId,
        #[OA\Property(description: 'As in case.')]
        public string $kindName,
        #[OA\Property(ref: '#/components/schemas/Stage')]
        public StageData $stage,
        #[OA\Property(description: 'Since when it is in its stage, for reading.')]
        public string $sinceText,
        #[OA\Property(description: 'For how many days; 0 where it is closed.')]
        public int $days,
        #[OA\Property(description: 'For longer than the firm wants it to.')]
        public bool $standsTooLong,
        #[OA\Property(description: 'Whom it is for.', items: new OA\Items(ref: '#/components/schemas/PartyLink'))]
        public array $clients,
        #[OA\Property(description: 'What the party that was asked about is to it.', items: new OA\Items(type: 'string'))]
        public array $roles,
        #[OA\Property(description: 'Who looks after it.')]
        public string $owner,
        #[OA\Property(description: 'The day it was begun, for reading.')]
        public string $begunText,
        #[OA\Property(description: 'From when until when, in years.')]
        public string $years,
        #[OA\Property(ref: '#/components/schemas/Money', description: 'The fee or the budget.', nullable: true)]
        public ?MoneyData $agreed,
        #[OA\Property(ref: '#/components/schemas/Money', description: 'Of an enquiry: its value by its chance.', nullable: true)]
        public ?MoneyData $weighed,
        #[OA\Property(description: 'When a decision is expected, for reading; empty for no day.')]
        public string $decidedText,
        #[OA\Property(description: 'The place, for reading.')]
        public string $place,
        #[OA\Property]
        public bool $isClosed,
        #[OA\Property]
        public bool $isPrivate,
        #[OA\Property]
        public bool $isArchived,
    ) {
    }

    /** @param  int|null  $partyId  of whom the roles are told */
    public static function of(Engagement $engagement, Day $today, ?int $partyId = null): self
    {
        // Where it stands is all that a line says; how it came there is on its page.
        $history = StageHistory::begun($engagement->stage->stage(), $engagement->moved_on);
        $enquiry = $engagement->enquiry();
        $site = $engagement->site();
        $begun = (string) $engagement->begun_on->year;
        $ended = $engagement->is_closed ? (string) $engagement->moved_on->year : '';

        return new self(
            $engagement->id,
            $engagement->number,
            $engagement->title,
            $engagement->kind_id,
            $engagement->kind->name,
            StageData::of($engagement->stage),
            $engagement->moved_on->toText(),
            $history->standing($today),
            $history->standsTooLong($today),
            array_values($engagement->parties
                ->filter(fn (EngagementParty $one) => $one->role->is_client && $one->isNow($today))
                ->map(fn (EngagementParty $one) => PartyLinkData::of($one->party))->all()),
            array_values($engagement->parties
                ->filter(fn (EngagementParty $one) => $one->party_id === $partyId || $one->via_id === $partyId)
                ->map(fn (EngagementParty $one) => $one->role->name)->unique()->all()),
            $engagement->owner->name ?? '',
            $engagement->begun_on->toText(),
            $ended === '' || $ended === $begun ? $begun : "{$begun}–$ended",
            MoneyData::orNull($engagement->agreed()),
            MoneyData::orNull($enquiry?->weighed()),
            $engagement->decided_on?->toText() ?? '',
            $site === null ? '' : implode(', ', array_filter([$site->locality, $site->region])),
            $engagement->is_closed,
            $engagement->is_private,
            $engagement->isArchived(),
        );
    }
}
