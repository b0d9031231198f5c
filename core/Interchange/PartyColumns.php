<?php

declare(strict_types=1);

namespace Almanac\Interchange;

use Almanac\Names\PersonName;
use Almanac\Terms\Side;
use Almanac\Terms\SideField;

/**
 * Every column that a table of people and companies may have, in the order in which we write them. What is read, what is
 * written, the template and the help of the columns come from here.
 */
final class PartyColumns
{
    public const NAME = 'Name';

    public const ROLE = 'Client or vendor';

    public const REACH = 'Reach';

    public const ADDRESS = 'Address';

    public const WORK = 'Where they work';

    public const SORT = 'Classification';

    public const TERMS = 'Terms';

    public const TAX = 'Tax and bank';

    public const DETAILS = 'Own fields';

    public const OTHER = 'Other';

    /** Fields of a side that a cell can hold. */
    public const SIDE_FIELDS = [
        SideField::Treatment, SideField::Discount, SideField::Currency, SideField::Delivery, SideField::SendTo,
        SideField::Reference, SideField::Limit, SideField::AccountNumber, SideField::PayBy,
    ];

    /** By which two parts of a number of a bank make an account. */
    public const BANK = ['iban', 'bic', 'routing', 'bank-account', 'account-use', 'sort-code', 'bank-name', 'account-holder'];

    public const ADDRESS_PARTS = ['address', 'street', 'locality', 'region', 'postcode', 'country', 'attention', 'care-of', 'address-uses'];

    /** @return array<string, TargetColumn> by key */
    public static function all(): array
    {
        static $all = null;

        return $all ??= array_column([
            ...WhoColumns::names(), ...WhoColumns::roles(), ...ReachColumns::reach(), ...ReachColumns::addresses(),
            ...WhoColumns::work(), ...WhoColumns::sorting(), ...SideColumns::terms(), ...SideColumns::numbers(), ...SideColumns::others(),
        ], null, 'key');
    }

    /** What a person's name would be told by. */
    public static function saysPerson(string $key): bool
    {
        return $key === 'given' || $key === 'family';
    }

    /**
     * The parts of a name by what their columns are called.
     *
     * @return array<string, string>
     */
    public static function nameParts(PersonName $name): array
    {
        return array_filter([
            'prefix' => $name->prefix, 'given' => $name->given, 'middle' => $name->middle, 'family' => $name->family,
            'suffix' => $name->suffix, 'post-nominals' => $name->postNominals,
        ], fn (string $part) => $part !== '');
    }
}
