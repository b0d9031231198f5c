<?php

declare(strict_types=1);

namespace App\Facts\Conflicts;

use Almanac\Conflicts\Opposition;
use Almanac\Conflicts\PastRole;
use App\Models\Engagement;
use App\Models\EngagementParty;
use App\Models\EngagementRole;
use App\Models\User;

/** What parties are or were in cases and projects, and which roles stand against each other. */
final class PastRoles
{
    private const MOST = 2000;

    /**
     * @param list<int> $partyIds
     * @param int|null $butId the case or project that the search is for
     *
     * @return list<PastRole>
     */
    public static function of(array $partyIds, ?int $butId): array
    {
        $rows = EngagementParty::query()->with('role')->whereIn('party_id', $partyIds)
            ->when($butId !== null, fn ($some) => $some->where('engagement_id', '!=', $butId))
            ->orderByDesc('engagement_id')->limit(self::MOST)->get();
        $ids = $rows->pluck('engagement_id')->unique();
        $all = Engagement::everyOne()->with('kind', 'readers')->findMany($ids)->keyBy('id');
        $mayOpen = Engagement::query()->whereKey($ids)->pluck('id')->flip();
        $roles = [];
        foreach ($rows as $row) {
            $engagement = $all->get($row->engagement_id);
            if ($engagement instanceof Engagement) {
                $roles[] = $mayOpen->has($engagement->id)
                    ? PastRole::of($row->party_id, $engagement->id, $row->role->name, self::words($engagement))
                    : PastRole::hidden(
                        $row->party_id, $engagement->id, $row->role->name, $engagement->kind->name,
                        self::whoMay($engagement),
                    );
            }
        }

        return $roles;
    }

    /** As the office has set it, of all its kinds: the same word is the same role. */
    public static function opposition(): Opposition
    {
        $pairs = [];
        foreach (EngagementRole::query()->with('opposed')->get() as $role) {
            foreach ($role->opposed as $other) {
                $pairs[] = [$role->name, $other->name];
            }
        }

        return Opposition::of($pairs);
    }

    public static function whoMay(Engagement $engagement): string
    {
        return implode(' or ', $engagement->readers->map(fn (User $user) => $user->name)->all());
    }

    private static function words(Engagement $engagement): string
    {
        return $engagement->kind->name.' '.$engagement->number
            .($engagement->is_closed ? ', closed '.$engagement->moved_on->year : ', since '.$engagement->begun_on->year);
    }
}
