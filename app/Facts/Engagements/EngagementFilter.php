<?php

declare(strict_types=1);

namespace App\Facts\Engagements;

use Almanac\Engagements\StageKind;
use Almanac\Finding\Fold;
use App\Models\Engagement;
use App\Models\EngagementParty;
use App\Models\EngagementStage;
use Illuminate\Database\Eloquent\Builder;

/** Which cases and projects somebody wants to see. */
final readonly class EngagementFilter
{
    private const MOST_WORDS = 8;

    /**
     * @param  array{
     *     kindId?: int|null, stageId?: int|null, state?: string|null, roleId?: int|null, partyId?: int|null, ownerId?: int|null,
     *     from?: string|null, to?: string|null, q?: string|null,
     * }  $wanted
     */
    public function __construct(private array $wanted)
    {
    }

    /** Whether something in such a stage can be in the list. */
    public function mayStandIn(StageKind $stage): bool
    {
        return match ($this->wanted['state'] ?? 'live') {
            'closed' => ! $stage->isLive(),
            'enquiry' => $stage === StageKind::Enquiry,
            'all', 'archived' => true,
            default => $stage->isLive(),
        };
    }

    /** @param  Builder<Engagement>  $engagements */
    public function all(Builder $engagements): void
    {
        $this->butForTheStage($engagements);
        $stageId = $this->wanted['stageId'] ?? null;
        if ($stageId !== null) {
            $engagements->where('stage_id', $stageId);
        }
    }

    /**
     * Of every stage, so that another can be chosen.
     *
     * @param Builder<Engagement> $engagements
     */
    public function butForTheStage(Builder $engagements): void
    {
        $wanted = $this->wanted;
        match ($wanted['state'] ?? 'live') {
            'archived' => $engagements->whereNotNull('archived_on'),
            'closed' => $engagements->whereNull('archived_on')->where('is_closed', true),
            'all' => $engagements->whereNull('archived_on'),
            'enquiry' => $engagements->whereNull('archived_on')->whereIn(
                'stage_id',
                EngagementStage::query()->select('id')->where('meaning', StageKind::Enquiry),
            ),
            default => $engagements->whereNull('archived_on')->where('is_closed', false),
        };
        foreach (['kindId' => 'kind_id', 'ownerId' => 'owner_id'] as $key => $column) {
            if (($wanted[$key] ?? null) !== null) {
                $engagements->where($column, $wanted[$key]);
            }
        }
        [$partyId, $roleId] = [$wanted['partyId'] ?? null, $wanted['roleId'] ?? null];
        if ($partyId !== null || $roleId !== null) {
            $engagements->whereIn('engagements.id', EngagementParty::query()->select('engagement_id')
                ->when($roleId !== null, fn (Builder $parties) => $parties->where('role_id', $roleId))
                ->when($partyId !== null, fn (Builder $parties) => $parties->where(
                    fn (Builder $who) => $who->where('party_id', $partyId)->orWhere('via_id', $partyId)->orWhere('contact_id', $partyId),
                )));
        }
        if (($wanted['from'] ?? '') !== '' && $wanted['from'] !== null) {
            $engagements->where('begun_on', '>=', $wanted['from']);
        }
        if (($wanted['to'] ?? '') !== '' && $wanted['to'] !== null) {
            $engagements->where('begun_on', '<=', $wanted['to']);
        }
        self::found($engagements, $wanted['q'] ?? '');
    }

    /**
     * Those that have all of the words.
     *
     * @param Builder<Engagement> $engagements
     */
    public static function found(Builder $engagements, ?string $words): void
    {
        $folded = array_slice(array_values(array_filter(explode(' ', Fold::text($words ?? '')))), 0, self::MOST_WORDS);
        foreach ($folded as $word) {
            $engagements->whereRaw("words like ? escape '\\'", ['%'.addcslashes($word, '%_\\').'%']);
        }
    }
}
