<?php

declare(strict_types=1);

namespace App\Facts\Records;

use Almanac\Calendar\Day;
use Almanac\Records\Inherited;
use Almanac\Relations\RelationKind;
use App\Models\Party;
use App\Models\Position;
use App\Models\Relation;
use Illuminate\Database\Eloquent\Collection;

/** From whom a record inherits what it has not of its own: the company where a person works, then its parent companies and head offices. */
final class Ancestors
{
    /** What a company is loaded with so that it need not be asked for by itself. */
    public const READS = [
        'relationsFrom.ownKind', 'relationsFrom.from', 'relationsFrom.to', 'relationsTo.ownKind', 'relationsTo.from', 'relationsTo.to',
    ];

    /** The same of the companies at which a person works. */
    public const OF_EMPLOYERS = [
        'heldPositions.company.relationsFrom.ownKind', 'heldPositions.company.relationsFrom.from', 'heldPositions.company.relationsFrom.to',
        'heldPositions.company.relationsTo.ownKind', 'heldPositions.company.relationsTo.from', 'heldPositions.company.relationsTo.to',
    ];

    private const MOST = 5;

    /** @return list<Party> the nearest first */
    public static function of(Party $party, Day $today): array
    {
        $next = $party->isPerson()
            ? self::positions($party)->first(fn (Position $position) => $position->period()->includes($today))?->company
            : self::parent($party, $today);

        return self::from($party, $next, $today);
    }

    /** @return Collection<int, Position> those of a person; as they were read, where they were */
    private static function positions(Party $party): Collection
    {
        return $party->relationLoaded('heldPositions') ? $party->heldPositions : $party->heldPositions()->with('company')->get();
    }

    /**
     * What a record has of its own, or takes over from the nearest above that has it.
     *
     * @template T
     *
     * @param T|null $own
     * @param \Closure(Party): (T|null) $of
     *
     * @return Inherited<T>
     */
    public static function nearest(Party $party, mixed $own, \Closure $of, Day $today): Inherited
    {
        return Inherited::nearest(
            $own,
            $own !== null ? [] : array_map(fn (Party $company) => [$company->display_name, $of($company)], self::of($party, $today)),
        );
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
        $known = $next = array_fill_keys($ids, true);
        for ($step = 0; $step < self::MOST && $next !== []; $step++) {
            $found = [];
            foreach (Relation::ofAny(array_keys($next))->with('from', 'to')->get() as $relation) {
                foreach ([[$relation->from, $relation->to], [$relation->to, $relation->from]] as [$company, $other]) {
                    if (isset($next[$company->id]) && ! isset($known[$other->id]) && self::isParent($relation, $other, $today)) {
                        $found[$other->id] = $known[$other->id] = true;
                    }
                }
            }
            $next = $found;
        }

        return array_values(array_diff(array_keys($known), $ids));
    }

    /**
     * Who takes over from them what companies have and people at work too: the companies below, and who works at any of them.
     *
     * @param array<int> $ids of companies
     *
     * @return list<int>
     */
    public static function heirs(array $ids, Day $today): array
    {
        $below = self::below($ids, $today);

        return array_values(array_unique([...$below, ...self::peopleAt([...$ids, ...$below])]));
    }

    /**
     * @param array<int> $companyIds
     *
     * @return list<int> who works, worked or will work there
     */
    public static function peopleAt(array $companyIds): array
    {
        return array_values(Position::query()->whereIn('company_id', $companyIds)->distinct()->pluck('person_id')->all());
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
        $relations = $company->relationLoaded('relationsFrom') && $company->relationLoaded('relationsTo')
            ? $company->relations()
            : Relation::of($company)->with('from', 'to')->get();

        return $relations
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
