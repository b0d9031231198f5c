<?php

declare(strict_types=1);

namespace App\Queries\Records;

use Almanac\Calendar\Day;
use Almanac\Records\Inherited;
use Almanac\Records\OfficeList;
use App\Facts\Records\Ancestors;
use App\Http\Data\Records\ClassificationData;
use App\Http\Data\Records\CodeData;
use App\Http\Data\Records\InheritedColleagueData;
use App\Models\Party;
use App\Models\PartyCode;
use App\Models\User;
use Symfony\Component\Intl\Languages;

/** Reads what somebody is to the office, with what a person takes over from the company, and a company from its parent. */
final class ReadClassification
{
    public function handle(Party $party, int $version, Day $today): ClassificationData
    {
        $party->loadMissing('owner', 'accountManager', 'buyer', 'codes', 'listItems');
        $above = array_map(fn (Party $company) => $company->loadMissing('owner', 'accountManager', 'buyer'), Ancestors::of($party, $today));

        return new ClassificationData(
            $version,
            $party->listed(OfficeList::Types),
            $party->listed(OfficeList::Tags),
            $this->inherited($party->owner, $above, fn (Party $company) => $company->owner),
            $this->inherited($party->accountManager, $above, fn (Party $company) => $company->accountManager),
            $this->inherited($party->buyer, $above, fn (Party $company) => $company->buyer),
            $party->source,
            $party->language,
            $party->language === '' ? '' : Languages::getName($party->language, 'en'),
            $party->grade,
            $party->no_letters_on?->toText() ?? '',
            $party->no_letters_how,
            $party->optOut()?->toText() ?? '',
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
}
