<?php

declare(strict_types=1);

namespace App\Facts\Engagements;

use Almanac\Engagements\StageKind;
use Almanac\Finding\Fold;
use App\Facts\Lists\Asked;
use App\Models\Engagement;
use App\Models\EngagementStage;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Query\Builder as QueryBuilder;
use Illuminate\Support\Facades\DB;

/** Which cases and projects somebody wants to see. */
final readonly class EngagementFilter
{
    private const MOST_WORDS = 8;

    /**
     * @param  array{
     *     kindId?: int|null, stageId?: int|null, state?: string|null, roleId?: int|null, partyId?: int|null, ownerId?: int|null,
     *     from?: string|null, to?: string|null, q?: string|null,
     * }  $wanted
     * @param Asked|null $asked what a sentence asks besides; null for nothing
     */
    public function __construct(private array $wanted, private ?Asked $asked = null)
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
            'enquiry' => $engagements->whereRaw(Engagement::IS_GOING)->whereIn('stage_id', EngagementStage::enquiries()),
            default => $engagements->whereRaw(Engagement::IS_GOING),
        };
        foreach (['kindId' => 'kind_id', 'ownerId' => 'owner_id'] as $key => $column) {
            if (($wanted[$key] ?? null) !== null) {
                $engagements->where($column, $wanted[$key]);
            }
        }
        [$partyId, $roleId] = [$wanted['partyId'] ?? null, $wanted['roleId'] ?? null];
        if ($partyId !== null) {
            $engagements->whereIn('engagements.id', self::concerning($partyId, $roleId));
        } elseif ($roleId !== null) {
            // Asked of each that the rest leaves over: half of all may have somebody in that role.
            $engagements->whereExists(fn (QueryBuilder $parties) => $parties->selectRaw('1')->from('engagement_parties')
                ->whereColumn('engagement_id', 'engagements.id')->where('role_id', $roleId));
        }
        foreach (['from' => '>=', 'to' => '<='] as $key => $than) {
            if (($wanted[$key] ?? '') !== '') {
                $engagements->where('begun_on', $than, $wanted[$key]);
            }
        }
        if ($this->asked !== null) {
            $engagements->whereRaw($this->asked->sql, $this->asked->bindings);
        }
        self::found($engagements, $wanted['q'] ?? '');
    }

    /**
     * What somebody is or was part of: themselves, through somebody, or as whom to ask for. Each is found by an index.
     *
     * @param list<int> $peopleIds who count too
     */
    public static function concerning(int $partyId, ?int $roleId = null, array $peopleIds = []): QueryBuilder
    {
        $by = fn (string $column, array $ids) => DB::table('engagement_parties')->select('engagement_id')->whereIn($column, $ids)
            ->when($roleId !== null, fn (QueryBuilder $rows) => $rows->where('role_id', $roleId));

        return $by('party_id', [$partyId, ...$peopleIds])->union($by('via_id', [$partyId]))->union($by('contact_id', [$partyId]));
    }

    /**
     * Those that have words which begin as all of these do.
     *
     * @param Builder<Engagement> $engagements
     * @param int|null $most so many of those that were added last, where more have them; null for all
     */
    public static function found(Builder $engagements, ?string $words, ?int $most = null): void
    {
        $typed = array_slice(Fold::words($words ?? ''), 0, self::MOST_WORDS);
        if ($typed !== []) {
            $match = implode(' ', array_map(fn (string $word) => "\"$word\"*", $typed));
            $having = DB::table('engagement_words')->select('rowid')->whereRaw('engagement_words match ?', [$match]);
            $engagements->whereIn('engagements.id', $most === null ? $having : $having->orderByDesc('rowid')->limit($most));
        } elseif (trim($words ?? '') !== '') {
            // Signs alone are in nothing.
            $engagements->whereRaw('1 = 0');
        }
    }
}
