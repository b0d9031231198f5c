<?php

declare(strict_types=1);

namespace App\Queries\Office;

use Almanac\Addresses\Layouts;
use Almanac\Records\OfficeList;
use Almanac\TaxIds\VatNumbers;
use App\Http\Data\Office\AddressLayoutData;
use App\Http\Data\Office\ChoicesData;
use App\Http\Data\Office\ColleagueData;
use App\Http\Data\Office\NamedCodeData;
use App\Http\Data\Office\OfferedData;
use App\Http\Data\Terms\ListedTermsData;
use App\Models\ListedTerms;
use App\Models\ListItem;
use App\Models\User;
use Symfony\Component\Intl\Countries;
use Symfony\Component\Intl\Languages;

/** Reads what the fields of a record offer to choose from. */
final class ReadChoices
{
    public function handle(): ChoicesData
    {
        return new ChoicesData(
            NamedCodeData::list(Countries::getNames('en')),
            array_map(AddressLayoutData::of(...), [...Layouts::countries(), '']),
            $this->lists(),
            NamedCodeData::list(Languages::getNames('en')),
            NamedCodeData::list(array_intersect_key(Countries::getNames('en'), array_flip(VatNumbers::countries()))),
            array_values(
                User::query()->whereNull('retired_at')->orderBy('name')->get()->map(fn (User $user) => ColleagueData::of($user))->all(),
            ),
            array_values(ListedTerms::query()->orderBy('id')->get()->map(fn (ListedTerms $listed) => ListedTermsData::of($listed))->all()),
        );
    }

    /** @return list<OfferedData> */
    private function lists(): array
    {
        $items = ListItem::query()->where('is_retired', false)->orderBy('name')->get()->groupBy(fn (ListItem $item) => $item->list->value);

        return array_map(fn (OfficeList $list) => new OfferedData(
            $list->value,
            array_values(($items->get($list->value) ?? collect())->map(fn (ListItem $item) => $item->name)->all()),
        ), OfficeList::cases());
    }
}
