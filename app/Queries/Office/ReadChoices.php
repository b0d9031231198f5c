<?php

declare(strict_types=1);

namespace App\Queries\Office;

use Almanac\Addresses\AddressUse;
use Almanac\Addresses\Layouts;
use Almanac\Reach\ContactKind;
use Almanac\Reach\ContactUse;
use Almanac\Records\Duty;
use App\Http\Data\Office\AddressLayoutData;
use App\Http\Data\Office\ChoicesData;
use App\Http\Data\Office\NamedCodeData;
use App\Http\Data\Terms\ListedTermsData;
use App\Models\ListedTerms;
use Symfony\Component\Intl\Countries;

/** Reads what the fields of a record offer to choose from. */
final class ReadChoices
{
    public function handle(): ChoicesData
    {
        return new ChoicesData(
            NamedCodeData::list(Countries::getNames('en')),
            array_map(AddressLayoutData::of(...), [...Layouts::countries(), '']),
            array_column(AddressUse::cases(), 'value'),
            array_column(ContactUse::cases(), 'value'),
            ContactKind::Phone->usualLabels(),
            ContactKind::Email->usualLabels(),
            ContactKind::Website->usualLabels(),
            array_column(Duty::cases(), 'value'),
            array_values(ListedTerms::query()->orderBy('id')->get()->map(fn (ListedTerms $listed) => ListedTermsData::of($listed))->all()),
        );
    }
}
