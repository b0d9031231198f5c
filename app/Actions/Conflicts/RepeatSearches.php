<?php

declare(strict_types=1);

namespace App\Actions\Conflicts;

use App\Models\ConflictSearch;
use App\Models\Engagement;
use App\Models\EngagementParty;
use App\Models\User;

/**
 * Searches a case or project that is going on, and was searched before, by itself: for whoever is put into a role, and for
 * whoever in it gets a relation or a position. Whoever causes it need not see it. Runs inside the transaction of the change.
 */
final readonly class RepeatSearches
{
    public function __construct(private SearchConflicts $search)
    {
    }

    /** @param  list<int>  $formerIds  who had a role before */
    public function forWhoeverCame(Engagement $engagement, array $formerIds, User $by): void
    {
        $this->again([$engagement->id], fn (EngagementParty $row) => ! in_array($row->party_id, $formerIds, true), $by);
    }

    /** @param  list<int>  $partyIds  whose relations or positions are different */
    public function forWhoeverIsRelated(array $partyIds, User $by): void
    {
        $concerned = EngagementParty::query()->whereIn('party_id', $partyIds)->pluck('engagement_id')->unique()->all();
        if ($concerned !== []) {
            $this->again(array_values($concerned), fn (EngagementParty $row) => in_array($row->party_id, $partyIds, true), $by);
        }
    }

    /**
     * @param list<int> $engagementIds
     * @param \Closure(EngagementParty): bool $isMeant
     */
    private function again(array $engagementIds, \Closure $isMeant, User $by): void
    {
        $searched = ConflictSearch::query()->whereIn('engagement_id', $engagementIds)->distinct()->pluck('engagement_id');
        $going = Engagement::everyOne()->whereKey($searched)->whereRaw(Engagement::IS_GOING)
            ->with(['parties' => fn ($parties) => $parties->with('party', 'role')])->get();
        foreach ($going as $engagement) {
            $names = $engagement->parties->filter($isMeant)
                ->map(fn (EngagementParty $row) => ['name' => $row->party->display_name, 'role' => $row->role->name]);
            if ($names->isNotEmpty()) {
                $this->search->again($engagement, array_values($names->all()), $by);
            }
        }
    }
}
