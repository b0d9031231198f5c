<?php

declare(strict_types=1);

namespace App\Support;

use Almanac\Calendar\Day;
use Almanac\Relations\RelationKind;
use App\Models\Party;
use App\Models\Position;
use App\Models\Relation;

/** From whom a record inherits what it has not of its own: the company where a person works, then its parent companies and head offices. */
final class Ancestors
{
    private const MOST = 5;

    /** @return list<Party> the nearest first */
    public static function of(Party $party, Day $today): array
    {
        $next = $party->isPerson()
            ? $party->heldPositions()->with('company')->get()->first(fn (Position $position) => $position->period()->includes($today))?->company
            : self::parent($party, $today);

        return self::from($party, $next, $today);
    }

    /** @return list<Party> companies above a company; none above a person, who pays for nothing at work */
    public static function companiesAbove(Party $party, Day $today): array
    {
        return $party->isPerson() ? [] : self::from($party, self::parent($party, $today), $today);
    }

    /**
     * The companies that may inherit from one of these.
     *
     * @param array<int> $ids
     *
     * @return list<int>
     */
    public static function below(array $ids, Day $today): array
    {
        $known = array_fill_keys($ids, true);
        $next = Party::query()->findMany($ids);
        for ($step = 0; $step < self::MOST && count($next) > 0; $step++) {
            $found = [];
            foreach ($next as $company) {
                foreach (Relation::of($company)->with('from', 'to')->get() as $relation) {
                    $other = $relation->otherThan($company);
                    if (self::isParent($relation, $other, $today) && ! isset($known[$other->id])) {
                        $known[$other->id] = true;
                        $found[] = $other;
                    }
                }
            }
            $next = $found;
        }

        return array_values(array_diff(array_keys($known), $ids));
    }

    /** @return list<Party> */
    private static function from(Party $party, ?Party $next, Day $today): array
    {
        $above = [];
        while ($next !== null && count($above) < self::MOST && ! in_array($next->id, [$party->id, ...array_column($above, 'id')], true)) {
            $above[] = $next;
            $next = self::parent($next, $today);
        }

        return $above;
    }

    private static function parent(Party $company, Day $today): ?Party
    {
        return Relation::of($company)->with('from', 'to')->get()
            ->first(fn (Relation $relation) => self::isParent($relation, $company, $today))
            ?->otherThan($company);
    }

    /** Whether the other end of it is what this company inherits from. */
    private static function isParent(Relation $relation, Party $company, Day $today): bool
    {
        return in_array($relation->seenFrom($company)->kind, [RelationKind::ParentCompany, RelationKind::HeadOffice], true)
            && $relation->period()->includes($today);
    }
}
