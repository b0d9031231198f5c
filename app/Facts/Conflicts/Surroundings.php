<?php

declare(strict_types=1);

namespace App\Facts\Conflicts;

use Almanac\Conflicts\Tie;
use Almanac\Conflicts\Ties;
use App\Models\EngagementParty;
use App\Models\EngagementRole;
use App\Models\Position;
use App\Models\Relation;
use Illuminate\Database\Eloquent\Builder;

/** Who has to do with whom: relatives, parent companies, branches, employers, people, those who are clients together. */
final class Surroundings
{
    private const STEPS = 2;

    /** A crowd is no tie: whoever has more people than that is not gone through. */
    private const MOST = 400;

    /**
     * @param list<int> $from
     *
     * @return array{Ties, list<int>} the ties within two steps, and everybody whom they reach
     */
    public static function of(array $from): array
    {
        $ties = [];
        $reached = $edge = $from;
        for ($step = 1; $step <= self::STEPS && $edge !== []; $step++) {
            $found = [...self::relations($edge), ...self::positions($edge), ...self::together($edge)];
            $next = array_merge([], ...array_map(fn (Tie $tie) => [$tie->from, $tie->to], $found));
            array_push($ties, ...$found);
            $edge = array_values(array_diff(array_unique($next), $reached));
            array_push($reached, ...$edge);
        }

        return [Ties::of($ties), array_values(array_unique($reached))];
    }

    /**
     * @param list<int> $edge
     *
     * @return list<Tie>
     */
    private static function relations(array $edge): array
    {
        $relations = Relation::query()->with('ownKind', 'from')
            ->where(fn (Builder $some) => $some->whereIn('from_id', $edge)->orWhereIn('to_id', $edge))
            ->limit(self::MOST)->get();

        // A relation is told as what the other is to the one that it was entered at.
        return array_values($relations->map(function (Relation $one): Tie {
            $other = $one->seenFrom($one->from);

            return Tie::of($one->from_id, $one->to_id, self::words($other->inverse()->name), self::words($other->name));
        })->all());
    }

    /**
     * @param list<int> $edge
     *
     * @return list<Tie>
     */
    private static function positions(array $edge): array
    {
        $positions = Position::query()
            ->where(fn (Builder $some) => $some->whereIn('person_id', $edge)->orWhereIn('company_id', $edge))
            ->limit(self::MOST)->get();

        return array_values($positions->map(fn (Position $one) => Tie::of(
            $one->person_id,
            $one->company_id,
            ($one->until === null ? '' : 'formerly ').($one->title === '' ? 'works at' : "$one->title at"),
            ($one->until === null ? '' : 'formerly ').'employer of',
        ))->all());
    }

    /**
     * Clients of one case or project, and who acts through whom in it.
     *
     * @param list<int> $edge
     *
     * @return list<Tie>
     */
    private static function together(array $edge): array
    {
        $clients = EngagementRole::query()->select('id')->where('is_client', true);
        $theirs = EngagementParty::query()->select('engagement_id')->whereIn('party_id', $edge)->whereIn('role_id', $clients);
        $rows = EngagementParty::query()->whereIn('engagement_id', $theirs)->whereIn('role_id', $clients)->limit(self::MOST)->get();
        $ties = [];
        foreach ($rows->groupBy('engagement_id') as $of) {
            $ids = $of->pluck('party_id')->unique()->values();
            foreach ($ids as $at => $one) {
                foreach ($ids->slice($at + 1) as $other) {
                    $ties[] = Tie::of((int) $one, (int) $other, 'client together with', 'client together with');
                }
            }
        }
        foreach (EngagementParty::query()->whereIn('party_id', $edge)->whereNotNull('via_id')->limit(self::MOST)->get() as $one) {
            $ties[] = Tie::of($one->party_id, (int) $one->via_id, 'acted through', 'was acted for by');
        }

        return $ties;
    }

    /** "spouse of", but "referred by". */
    private static function words(string $word): string
    {
        return str_ends_with($word, ' by') || str_ends_with($word, ' of') ? $word : "$word of";
    }
}
