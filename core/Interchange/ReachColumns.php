<?php

declare(strict_types=1);

namespace Almanac\Interchange;

/** The columns that tell how somebody is reached, and where. */
final class ReachColumns
{
    /** @return list<TargetColumn> */
    public static function reach(): array
    {
        return [
            new TargetColumn('phone', 'Phone', PartyColumns::REACH, 'With the country code where it is abroad.', ['802-555-0143', '802-555-0170'], [
                'telephone', 'phone number', 'tel', 'tel no', 'telephone number', 'phone no', 'contact number',
                'daytime phone', 'main phone', 'primary phone', 'telefon', 'telefoon',
                'phones', 'phone value',
            ], true),
            new TargetColumn(
                'phone-label', 'Phone label', PartyColumns::REACH, 'mobile, office, home, fax …', ['mobile', ''],
                ['phone type', 'phone kind'], true,
            ),
            new TargetColumn('email', 'Email', PartyColumns::REACH, 'name@firm.example', ['ottilie@larkin.example', 'yard@ternhill.example'], [
                'email address', 'mail', 'e mail', 'e mail address', 'primary email', 'contact email', 'emails',
                'email value', 'mailadresse',
            ], true),
            new TargetColumn('email-label', 'Email label', PartyColumns::REACH, 'work, home …', ['', ''], ['email type', 'e mail type'], true),
            new TargetColumn(
                'website', 'Website', PartyColumns::REACH, 'www.firm.example', ['', 'www.ternhill.example'],
                ['web', 'url', 'web page', 'homepage', 'web site', 'site', 'website value'], true,
            ),
            new TargetColumn(
                'handle', 'Messaging', PartyColumns::REACH, 'The name by which they are reached there.', ['', ''],
                ['im', 'chat', 'messenger', 'instant messaging'], true,
            ),
            new TargetColumn(
                'profile', 'Profile', PartyColumns::REACH, 'The address of a page about them.', ['', ''],
                ['social', 'social profile'], true,
            ),
        ];
    }

    /** @return list<TargetColumn> */
    public static function addresses(): array
    {
        $of = TargetColumn::several(PartyColumns::ADDRESS);

        return [
            $of(
                'address',
                'Address',
                'All of it in one cell, with commas or on lines.',
                ['', ''],
                ['full address', 'whole address', 'mailing address', 'address block', 'postal address', 'formatted address', 'adresse'],
            ),
            $of('street', 'Street', 'Building, street, floor; several lines are allowed.', ['14 Canal Street', '9 Sawmill Road'], [
                'street address', 'address line', 'addr', 'street 1', 'address 1', 'address line 1', 'line 1', 'strasse',
                'rue', 'road', 'bill to address', 'street line 1', 'po box',
            ]),
            $of(
                'locality',
                'City',
                'Town or city.',
                ['Brattleboro', 'Putney'],
                ['town', 'locality', 'place', 'municipality', 'ort', 'ville', 'stad', 'city town', 'post town', 'suburb'],
            ),
            $of(
                'region', 'State', 'State, province or county.', ['VT', 'VT'],
                ['province', 'county', 'region', 'state province', 'st', 'state region', 'canton', 'prov'],
            ),
            $of(
                'postcode', 'Postcode', 'ZIP or postal code.', ['05301', '05346'],
                ['zip', 'zip code', 'postal code', 'post code', 'plz', 'zipcode', 'zip postal code', 'code postal'],
            ),
            $of(
                'country', 'Country', 'A name or two letters; ours where it is empty.', ['', ''],
                ['country region', 'land', 'pays', 'country code', 'nation'],
            ),
            $of('attention', 'Attention', 'For whose attention.', ['', ''], ['attn', 'for the attention of']),
            $of('care-of', 'Care of', 'c/o', ['', ''], ['c o']),
            $of(
                'address-uses', 'Address uses', 'postal, office, home, billing, remit-to, delivery, ship-from, reminders',
                ['', ''], ['address type', 'address label'],
            ),
        ];
    }
}
