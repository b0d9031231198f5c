<?php

declare(strict_types=1);

namespace Almanac\Interchange;

use Almanac\Names\PersonName;
use Almanac\TaxIds\TaxIdKind;
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
            ...self::names(), ...self::roles(), ...self::reach(), ...self::addresses(), ...self::work(), ...self::sorting(),
            ...self::terms(),
            ...self::numbers(), ...self::others(),
        ], null, 'key');
    }

    /** @return list<TargetColumn> */
    private static function names(): array
    {
        return [
            new TargetColumn(
                'number', 'Number', self::NAME, 'Our number of the record. Leave it empty for somebody new.', ['', ''],
                ['record number', 'our number', 'no'],
            ),
            new TargetColumn(
                'kind', 'Kind', self::NAME, 'person or company', ['person', 'company'],
                ['record type', 'entity type', 'person or company', 'is company', 'kind of record'],
            ),
            new TargetColumn('name', 'Name', self::NAME, 'The whole name, of a person or a company.', ['', 'Tern Hill Timber'], [
                'full name', 'display name', 'contact', 'contact name', 'customer', 'customer name', 'client name',
                'vendor name', 'supplier', 'supplier name',
                'fn', 'account name', 'party', 'title of record', 'nom', 'naam', 'name 1',
            ]),
            new TargetColumn(
                'prefix', 'Title before the name', self::NAME, 'Mr., Mrs., Dr. …', ['Ms.', ''],
                ['prefix', 'salutation', 'honorific', 'name prefix', 'courtesy title', 'anrede', 'mr mrs', 'titel'],
            ),
            new TargetColumn(
                'given',
                'Given name',
                self::NAME,
                'First name.',
                ['Ottilie', ''],
                ['first name', 'first', 'forename', 'fname', 'christian name', 'vorname', 'prenom', 'voornaam', 'givenname', 'nome'],
            ),
            new TargetColumn(
                'middle', 'Middle name', self::NAME, 'Middle names or initials.', ['', ''],
                ['middle', 'middle initial', 'mi', 'additional name', 'second name', 'middle names'],
            ),
            new TargetColumn(
                'family',
                'Family name',
                self::NAME,
                'Last name.',
                ['Larkin', ''],
                ['last name', 'last', 'surname', 'lname', 'nachname', 'nom de famille', 'achternaam', 'sn', 'apellido', 'cognome'],
            ),
            new TargetColumn('suffix', 'Suffix', self::NAME, 'Jr., III …', ['', ''], ['name suffix', 'generation']),
            new TargetColumn(
                'post-nominals', 'After the name', self::NAME, 'Degrees and honors, such as PhD.', ['', ''],
                ['post nominals', 'credentials', 'degrees', 'letters after name'],
            ),
            new TargetColumn(
                'preferred', 'Preferred name', self::NAME, 'What they are called.', ['', ''],
                ['nickname', 'known as', 'goes by', 'called', 'nick'],
            ),
            new TargetColumn('pronouns', 'Pronouns', self::NAME, 'she/her, he/him, they/them …', ['', '']),
            new TargetColumn('informal', 'On first-name terms', self::NAME, 'yes or no', ['', ''], ['informal', 'first name terms']),
            new TargetColumn(
                'birth-date', 'Birth date', self::NAME, 'A date; it is kept private.', ['', ''],
                ['birthday', 'date of birth', 'dob', 'born', 'bday', 'born on', 'geburtstag', 'geburtsdatum'],
            ),
            new TargetColumn(
                'deceased', 'Deceased', self::NAME, 'yes, or the day.', ['', ''],
                ['died', 'died on', 'date of death', 'deathdate'],
            ),
            new TargetColumn(
                'legal-name', 'Legal name', self::NAME, 'Of a company, where it is another.', ['', 'Tern Hill Timber, LLC'],
                ['registered name', 'legal company name', 'name on tax return'],
            ),
            new TargetColumn(
                'payee', 'Payee name', self::NAME, 'The name on payments, where it is another.', ['', ''],
                ['pay to', 'payee', 'print on check as', 'check name', 'cheque name'],
            ),
            new TargetColumn(
                'legal-form', 'Legal form', self::NAME, 'Such as corporation, partnership, trust.', ['', ''],
                ['entity', 'form of business', 'business type', 'rechtsform'],
            ),
            new TargetColumn(
                'registration-number', 'Registration number', self::NAME, 'In the register of companies.', ['', ''],
                ['company number', 'register number', 'charity number'],
            ),
            new TargetColumn(
                'industry', 'Industry', self::NAME, 'What the company does.', ['', ''],
                ['sector', 'line of business', 'trade', 'branche'],
            ),
        ];
    }

    /** @return list<TargetColumn> */
    private static function roles(): array
    {
        return [
            new TargetColumn(
                'role',
                'Role',
                self::ROLE,
                'client, vendor or both',
                ['client', 'vendor'],
                ['relationship', 'client or vendor', 'customer or vendor', 'customer or supplier', 'account type', 'party type'],
            ),
            new TargetColumn('client', 'Client', self::ROLE, 'yes or no', ['', ''], ['is client', 'is customer', 'customer yes no']),
            new TargetColumn('vendor', 'Vendor', self::ROLE, 'yes or no', ['', ''], ['is vendor', 'is supplier', 'creditor']),
        ];
    }

    /** @return list<TargetColumn> */
    private static function reach(): array
    {
        return [
            new TargetColumn('phone', 'Phone', self::REACH, 'With the country code where it is abroad.', ['802-555-0143', '802-555-0170'], [
                'telephone', 'phone number', 'tel', 'tel no', 'telephone number', 'phone no', 'contact number',
                'daytime phone', 'main phone', 'primary phone', 'telefon', 'telefoon',
                'phones', 'phone value',
            ], true),
            new TargetColumn(
                'phone-label', 'Phone label', self::REACH, 'mobile, office, home, fax …', ['mobile', ''],
                ['phone type', 'phone kind'], true,
            ),
            new TargetColumn('email', 'Email', self::REACH, 'name@firm.example', ['ottilie@larkin.example', 'yard@ternhill.example'], [
                'email address', 'mail', 'e mail', 'e mail address', 'primary email', 'contact email', 'emails',
                'email value', 'mailadresse',
            ], true),
            new TargetColumn('email-label', 'Email label', self::REACH, 'work, home …', ['', ''], ['email type', 'e mail type'], true),
            new TargetColumn(
                'website', 'Website', self::REACH, 'www.firm.example', ['', 'www.ternhill.example'],
                ['web', 'url', 'web page', 'homepage', 'web site', 'site', 'website value'], true,
            ),
            new TargetColumn(
                'handle', 'Messaging', self::REACH, 'The name by which they are reached there.', ['', ''],
                ['im', 'chat', 'messenger', 'instant messaging'], true,
            ),
            new TargetColumn(
                'profile', 'Profile', self::REACH, 'The address of a page about them.', ['', ''],
                ['social', 'social profile'], true,
            ),
        ];
    }

    /** @return \Closure(string, string, string, array{string, string}=, list<string>=): TargetColumn */
    private static function several(string $group): \Closure
    {
        return fn (string $key, string $title, string $help, array $examples = ['', ''], array $headings = []) => new TargetColumn(
            $key, $title, $group, $help, [$examples[0] ?? '', $examples[1] ?? ''],
            array_values(array_filter($headings, is_string(...))), true,
        );
    }

    /** @return list<TargetColumn> */
    private static function addresses(): array
    {
        $of = self::several(self::ADDRESS);

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

    /** @return list<TargetColumn> */
    private static function work(): array
    {
        $of = self::several(self::WORK);

        return [
            $of('company', 'Company', 'Where a person works; found in the book, or added. Without a person’s name it is the company itself.', ['Tern Hill Timber', ''], [
                'company name', 'organization', 'organisation', 'employer', 'firm', 'business', 'business name', 'org',
                'firma', 'entreprise', 'works at', 'account', 'o', 'organization name', 'works for',
            ]),
            $of(
                'job-title',
                'Position',
                'What they are there.',
                ['Bookkeeper', ''],
                ['job title', 'title', 'role at company', 'occupation', 'function', 'post', 'job', 'organization title', 'profession'],
            ),
            $of('department', 'Department', '', ['', ''], ['dept', 'division', 'organization department', 'ou', 'unit']),
        ];
    }

    /** @return list<TargetColumn> */
    private static function sorting(): array
    {
        return [
            new TargetColumn(
                'types', 'Types', self::SORT, 'Of the office’s list; several with a semicolon between.', ['', ''],
                ['type', 'category', 'client type', 'vendor type', 'customer type', 'class'],
            ),
            new TargetColumn(
                'tags', 'Tags', self::SORT, 'Several with a semicolon between.', ['', ''],
                ['tag', 'labels', 'groups', 'categories', 'group membership', 'keywords', 'lists'],
            ),
            new TargetColumn(
                'owner', 'Looked after by', self::SORT, 'A colleague’s name.', ['', ''],
                ['owner', 'account owner', 'responsible', 'assigned to', 'handled by', 'relationship manager'],
            ),
            new TargetColumn(
                'account-manager', 'Account manager', self::SORT, 'A colleague’s name.', ['', ''],
                ['salesperson', 'sales rep', 'rep'],
            ),
            new TargetColumn('buyer', 'Buyer', self::SORT, 'A colleague’s name.', ['', ''], ['purchaser']),
            new TargetColumn(
                'source', 'Came from', self::SORT, 'How they found us.', ['', ''],
                ['source', 'lead source', 'referred by', 'how found', 'referral source'],
            ),
            new TargetColumn(
                'language', 'Language', self::SORT, 'In which letters are written: a name or two letters.', ['', ''],
                ['lang', 'correspondence language', 'sprache', 'langue'],
            ),
            new TargetColumn('grade', 'Grade', self::SORT, '1 to 5', ['', ''], ['rating', 'rank', 'priority']),
            new TargetColumn(
                'no-letters', 'Wants no letters', self::SORT, 'The day they said so, or yes.', ['', ''],
                ['unsubscribed', 'unsubscribed on', 'opted out', 'opt out', 'do not mail', 'no mailings', 'do not write', 'mailing opt out'],
            ),
            new TargetColumn(
                'no-letters-how', 'How they said so', self::SORT, 'Such as by phone, when they want no letters.', ['', ''],
                ['opt out reason', 'unsubscribe reason', 'how they opted out'],
            ),
            new TargetColumn('code', 'Number elsewhere', self::SORT, 'Their number in another program or register.', ['', ''], [
                'customer number', 'client number', 'vendor number', 'external id', 'id', 'customer id', 'client id',
                'vendor id', 'supplier number', 'account number', 'reference', 'member number', 'legacy id',
                'old number', 'kundennummer', 'uid',
            ], true),
        ];
    }

    /** @return list<TargetColumn> */
    private static function terms(): array
    {
        $columns = [];
        foreach (Side::cases() as $side) {
            $isClient = $side === Side::Client;
            $whose = $isClient ? 'when we bill them' : 'when we pay them';
            $columns[] = new TargetColumn(
                "$side->value-terms",
                "Payment terms $whose",
                self::TERMS,
                'As in net 30 or 2/10 net 30.',
                $isClient ? ['', ''] : ['', 'net 30'],
                $isClient
                    ? ['terms', 'payment terms', 'customer terms', 'client terms', 'invoice terms']
                    : ['vendor terms', 'supplier terms', 'bill terms', 'our terms'],
            );
            foreach (array_intersect(array_map(fn (SideField $field) => $field->value, self::SIDE_FIELDS), array_map(fn (SideField $field) => $field->value, SideField::of($side))) as $name) {
                $field = SideField::from($name);
                $columns[] = new TargetColumn("$side->value-$name", ucfirst($field->title($side))." $whose", self::TERMS, '', ['', ''], match (true) {
                    $field === SideField::Limit && $isClient => ['credit limit', 'limit', 'max credit'],
                    $field === SideField::Currency && $isClient => ['currency', 'default currency', 'currency code'],
                    $field === SideField::AccountNumber => ['our account number', 'account no with vendor'],
                    $field === SideField::PayBy => ['payment method', 'preferred payment method', 'pay by'],
                    $field === SideField::Discount && $isClient => ['discount', 'discount percent'],
                    default => [],
                });
            }
        }

        return $columns;
    }

    /** @return list<TargetColumn> */
    private static function numbers(): array
    {
        $known = [
            'EIN' => ['tax id', 'federal tax id', 'fein', 'tin', 'employer identification number', 'tax number', 'federal id'],
            'SSN' => ['social security number', 'social security'],
            'VAT' => ['vat number', 'vat id', 'vat no', 'vat reg no', 'ust id', 'uid number', 'tva', 'btw'],
            'ABN' => ['australian business number'], 'CA-BN' => ['business number', 'gst number', 'hst number'],
            'DUNS' => ['d u n s', 'duns number'],
        ];

        return [
            ...array_map(fn (TaxIdKind $kind) => new TargetColumn(
                'tax-'.mb_strtolower($kind->value), $kind->title(), self::TAX,
                $kind === TaxIdKind::Vat ? 'With the letters of its country.' : '', ['', ''],
                [mb_strtolower($kind->value), ...$known[$kind->value] ?? []],
            ), TaxIdKind::cases()),
            new TargetColumn(
                'form-on', 'Form W-9 of', self::TAX, 'The day on the form.', ['', ''],
                ['w9 date', 'w 9 date', 'w 9 on file', 'w9'],
            ),
            new TargetColumn(
                'iban', 'IBAN', self::TAX, 'Bank details that come in are on hold until a second person confirms them.',
                ['', ''], ['international bank account number'], true,
            ),
            new TargetColumn('bic', 'BIC', self::TAX, '', ['', ''], ['swift', 'swift code', 'bic swift'], true),
            new TargetColumn(
                'routing', 'Routing number', self::TAX, 'Nine digits.', ['', ''],
                ['aba', 'aba number', 'routing', 'transit number'], true,
            ),
            new TargetColumn('sort-code', 'Sort code', self::TAX, 'Six digits.', ['', ''], ['bank sort code'], true),
            new TargetColumn(
                'bank-account', 'Bank account', self::TAX, '', ['', ''],
                ['bank account number', 'bank account no', 'acct number'], true,
            ),
            new TargetColumn(
                'account-use', 'Kind of account', self::TAX, 'checking or savings', ['', ''],
                ['bank account type', 'checking or savings'], true,
            ),
            new TargetColumn('account-holder', 'Account holder', self::TAX, '', ['', ''], ['name on account', 'holder'], true),
            new TargetColumn('bank-name', 'Bank', self::TAX, '', ['', ''], ['bank name', 'name of bank'], true),
        ];
    }

    /** @return list<TargetColumn> */
    private static function others(): array
    {
        return [
            new TargetColumn(
                'receivable', 'Opening balance receivable', self::OTHER, 'What they owed us when the books began.', ['', ''],
                ['opening balance', 'balance', 'open balance', 'owes us', 'customer balance', 'balance due'],
            ),
            new TargetColumn(
                'payable', 'Opening balance payable', self::OTHER, 'What we owed them when the books began.', ['', ''],
                ['vendor balance', 'we owe', 'supplier balance'],
            ),
            new TargetColumn(
                'balance-on', 'Opening balance as of', self::OTHER, 'A date; today where it is empty.', ['', ''],
                ['as of', 'balance date', 'opening balance date'],
            ),
            new TargetColumn(
                'note', 'Note', self::OTHER, 'Goes into the log.', ['', ''],
                ['notes', 'comment', 'comments', 'remarks', 'memo', 'description', 'bemerkung'],
            ),
        ];
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
