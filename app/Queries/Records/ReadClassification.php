<?php

declare(strict_types=1);

namespace App\Queries\Records;

use Almanac\Calendar\Day;
use Almanac\Records\Inherited;
use Almanac\Records\OfficeList;
use Almanac\Relations\RelationKind;
use App\Http\Data\Office\ColleagueData;
use App\Http\Data\Records\ClassificationData;
use App\Http\Data\Records\CodeData;
use App\Http\Data\Records\InheritedColleagueData;
use App\Models\Party;
use App\Models\PartyCode;
use App\Models\Position;
use App\Models\Relation;
use App\Models\User;
use Symfony\Component\Intl\Languages;

/** Reads what somebody is to the office, with what a person takes over from the company, and a company from its parent. */
final class ReadClassification
{
    private const MOST_ABOVE = 5;

    public function handle(Party $party, int $version, Day $today): ClassificationData
    {
        $party->load('owner', 'accountManager', 'buyer', 'codes', 'listItems');
        $above = $this->above($party, $today);

        return new ClassificationData(
            $version,
            $party->listed(OfficeList::Types),
            $party->listed(OfficeList::Tags),
            ColleagueData::orNull($party->owner),
            $this->inherited($party->accountManager, $above, fn (Party $company) => $company->accountManager),
            $this->inherited($party->buyer, $above, fn (Party $company) => $company->buyer),
            $party->source,
            $party->language,
            $party->language === '' ? '' : Languages::getName($party->language, 'en'),
            $party->grade,
            array_values($party->codes->map(fn (PartyCode $code) => CodeData::of($code))->all()),
        );
    }

    /**
     * @param list<Party> $above
     * @param \Closure(Party): (User|null) $who
     */
    private function inherited(?User $own, array $above, \Closure $who): InheritedColleagueData
    {
        return InheritedColleagueData::of($own, Inherited::nearest(
            $own,
            array_map(fn (Party $company) => [$company->display_name, $who($company)], $above),
        ));
    }

    /**
     * The company where a person works, then its parent companies and head offices.
     *
     * @return list<Party>
     */
    private function above(Party $party, Day $today): array
    {
        $above = [];
        $next = $party->isPerson()
            ? $party->heldPositions()->with('company')->get()->first(fn (Position $position) => $position->period()->includes($today))?->company
            : $this->parent($party, $today);
        while ($next !== null && count($above) < self::MOST_ABOVE && ! in_array($next->id, [$party->id, ...array_column($above, 'id')], true)) {
            $above[] = $next->load('accountManager', 'buyer');
            $next = $this->parent($next, $today);
        }

        return $above;
    }

    private function parent(Party $company, Day $today): ?Party
    {
        return Relation::of($company)->with('from', 'to')->get()
            ->first(fn (Relation $relation) => in_array($relation->seenFrom($company)->kind, [RelationKind::ParentCompany, RelationKind::HeadOffice], true)
                && $relation->period()->includes($today))
            ?->otherThan($company);
    }
}
