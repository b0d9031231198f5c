<?php

declare(strict_types=1);

namespace Almanac\Interchange;

/** The columns that tell who somebody is, what they are to us and where they work. */
final class WhoColumns
{
    /** @return list<TargetColumn> */
    public static function names(): array
    {
        return [
            new TargetColumn(
                'number', 'Number', PartyColumns::NAME, 'Our number of the record. Leave it empty for somebody new.', ['', ''],
                ['record number', 'our number', 'no'],
            ),
            new TargetColumn(
                'kind', 'Kind', PartyColumns::NAME, 'person or company', ['person', 'company'],
                ['record type', 'entity type', 'person or company', 'is company', 'kind of record'],
            ),
            new TargetColumn('name', 'Name', PartyColumns::NAME, 'The whole name, of a person or a company.', ['', 'Tern Hill Timber'], [
                'full name', 'display name', 'contact', 'contact name', 'customer', 'customer name', 'client name',
                'vendor name', 'supplier', 'supplier name',
                'fn', 'account name', 'party', 'title of record', 'nom', 'naam', 'name 1',
            ]),
            new TargetColumn(
                'prefix', 'Title before the name', PartyColumns::NAME, 'Mr., Mrs., Dr. …', ['Ms.', ''],
                ['prefix', 'salutation', 'honorific', 'name prefix', 'courtesy title', 'anrede', 'mr mrs', 'titel'],
            ),
            new TargetColumn(
                'given',
                'Given name',
                PartyColumns::NAME,
                'First name.',
                ['Ottilie', ''],
                ['first name', 'first', 'forename', 'fname', 'christian name', 'vorname', 'prenom', 'voornaam', 'givenname', 'nome'],
            ),
            new TargetColumn(
                'middle', 'Middle name', PartyColumns::NAME, 'Middle names or initials.', ['', ''],
                ['middle', 'middle initial', 'mi', 'additional name', 'second name', 'middle names'],
            ),
            new TargetColumn(
                'family',
                'Family name',
                PartyColumns::NAME,
                'Last name.',
                ['Larkin', ''],
                ['last name', 'last', 'surname', 'lname', 'nachname', 'nom de famille', 'achternaam', 'sn', 'apellido', 'cognome'],
            ),
            new TargetColumn('suffix', 'Suffix', PartyColumns::NAME, 'Jr., III …', ['', ''], ['name suffix', 'generation']),
            new TargetColumn(
                'post-nominals', 'After the name', PartyColumns::NAME, 'Degrees and honors, such as PhD.', ['', ''],
                ['post nominals', 'credentials', 'degrees', 'letters after name'],
            ),
            new TargetColumn(
                'preferred', 'Preferred name', PartyColumns::NAME, 'What they are called.', ['', ''],
                ['nickname', 'known as', 'goes by', 'called', 'nick'],
            ),
            new TargetColumn('pronouns', 'Pronouns', PartyColumns::NAME, 'she/her, he/him, they/them …', ['', '']),
            new TargetColumn('informal', 'On first-name terms', PartyColumns::NAME, 'yes or no', ['', ''], ['informal', 'first name terms']),
            new TargetColumn(
                'birth-date', 'Birth date', PartyColumns::NAME, 'A date; it is kept private.', ['', ''],
                ['birthday', 'date of birth', 'dob', 'born', 'bday', 'born on', 'geburtstag', 'geburtsdatum'],
            ),
            new TargetColumn(
                'deceased', 'Deceased', PartyColumns::NAME, 'yes, or the day.', ['', ''],
                ['died', 'died on', 'date of death', 'deathdate'],
            ),
            new TargetColumn(
                'legal-name', 'Legal name', PartyColumns::NAME, 'Of a company, where it is another.', ['', 'Tern Hill Timber, LLC'],
                ['registered name', 'legal company name', 'name on tax return'],
            ),
            new TargetColumn(
                'payee', 'Payee name', PartyColumns::NAME, 'The name on payments, where it is another.', ['', ''],
                ['pay to', 'payee', 'print on check as', 'check name', 'cheque name'],
            ),
            new TargetColumn(
                'legal-form', 'Legal form', PartyColumns::NAME, 'Such as corporation, partnership, trust.', ['', ''],
                ['entity', 'form of business', 'business type', 'rechtsform'],
            ),
            new TargetColumn(
                'registration-number', 'Registration number', PartyColumns::NAME, 'In the register of companies.', ['', ''],
                ['company number', 'register number', 'charity number'],
            ),
            new TargetColumn(
                'industry', 'Industry', PartyColumns::NAME, 'What the company does.', ['', ''],
                ['sector', 'line of business', 'trade', 'branche'],
            ),
        ];
    }

    /** @return list<TargetColumn> */
    public static function roles(): array
    {
        return [
            new TargetColumn(
                'role',
                'Role',
                PartyColumns::ROLE,
                'client, vendor or both',
                ['client', 'vendor'],
                ['relationship', 'client or vendor', 'customer or vendor', 'customer or supplier', 'account type', 'party type'],
            ),
            new TargetColumn('client', 'Client', PartyColumns::ROLE, 'yes or no', ['', ''], ['is client', 'is customer', 'customer yes no']),
            new TargetColumn('vendor', 'Vendor', PartyColumns::ROLE, 'yes or no', ['', ''], ['is vendor', 'is supplier', 'creditor']),
        ];
    }

    /** @return list<TargetColumn> */
    public static function work(): array
    {
        $of = TargetColumn::several(PartyColumns::WORK);

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
    public static function sorting(): array
    {
        return [
            new TargetColumn(
                'types', 'Types', PartyColumns::SORT, 'Of the office’s list; several with a semicolon between.', ['', ''],
                ['type', 'category', 'client type', 'vendor type', 'customer type', 'class'],
            ),
            new TargetColumn(
                'tags', 'Tags', PartyColumns::SORT, 'Several with a semicolon between.', ['', ''],
                ['tag', 'labels', 'groups', 'categories', 'group membership', 'keywords', 'lists'],
            ),
            new TargetColumn(
                'owner', 'Looked after by', PartyColumns::SORT, 'A colleague’s name.', ['', ''],
                ['owner', 'account owner', 'responsible', 'assigned to', 'handled by', 'relationship manager'],
            ),
            new TargetColumn(
                'account-manager', 'Account manager', PartyColumns::SORT, 'A colleague’s name.', ['', ''],
                ['salesperson', 'sales rep', 'rep'],
            ),
            new TargetColumn('buyer', 'Buyer', PartyColumns::SORT, 'A colleague’s name.', ['', ''], ['purchaser']),
            new TargetColumn(
                'source', 'Came from', PartyColumns::SORT, 'How they found us.', ['', ''],
                ['source', 'lead source', 'referred by', 'how found', 'referral source'],
            ),
            new TargetColumn(
                'language', 'Language', PartyColumns::SORT, 'In which letters are written: a name or two letters.', ['', ''],
                ['lang', 'correspondence language', 'sprache', 'langue'],
            ),
            new TargetColumn('grade', 'Grade', PartyColumns::SORT, '1 to 5', ['', ''], ['rating', 'rank', 'priority']),
            new TargetColumn(
                'no-letters', 'Wants no letters', PartyColumns::SORT, 'The day they said so, or yes.', ['', ''],
                ['unsubscribed', 'unsubscribed on', 'opted out', 'opt out', 'do not mail', 'no mailings', 'do not write', 'mailing opt out'],
            ),
            new TargetColumn(
                'no-letters-how', 'How they said so', PartyColumns::SORT, 'Such as by phone, when they want no letters.', ['', ''],
                ['opt out reason', 'unsubscribe reason', 'how they opted out'],
            ),
            new TargetColumn('code', 'Number elsewhere', PartyColumns::SORT, 'Their number in another program or register.', ['', ''], [
                'customer number', 'client number', 'vendor number', 'external id', 'id', 'customer id', 'client id',
                'vendor id', 'supplier number', 'account number', 'reference', 'member number', 'legacy id',
                'old number', 'kundennummer', 'uid',
            ], true),
        ];
    }
}
