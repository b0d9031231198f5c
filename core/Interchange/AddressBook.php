<?php

declare(strict_types=1);

namespace Almanac\Interchange;

/** Contacts of an address book as a table of them, with the same columns whatever they were written in. */
final class AddressBook
{
    /** What its columns are, by heading: several phones of a label stand in one cell. */
    private const COLUMNS = [
        'Kind' => 'kind', 'Name' => 'name', 'Title before the name' => 'prefix', 'Given name' => 'given', 'Middle name' => 'middle',
        'Family name' => 'family', 'Suffix' => 'suffix', 'Preferred name' => 'preferred', 'Pronouns' => 'pronouns',
        'Birth date' => 'birth-date',
        'Deceased' => 'deceased', 'Company' => 'company', 'Position' => 'job-title', 'Department' => 'department',
        'Phone' => 'phone', 'Mobile phone' => 'phone:mobile', 'Office phone' => 'phone:office', 'Home phone' => 'phone:home',
        'Fax' => 'phone:fax', 'Pager' => 'phone:pager',
        'Email' => 'email', 'Office email' => 'email:office', 'Home email' => 'email:home', 'Website' => 'website',
        'Messaging' => 'handle', 'Profile' => 'profile',
        'Address' => 'address', 'Street' => 'street', 'City' => 'locality', 'State' => 'region', 'Postcode' => 'postcode',
        'Country' => 'country',
        'Office street' => 'street:office', 'Office city' => 'locality:office', 'Office state' => 'region:office',
        'Office postcode' => 'postcode:office', 'Office country' => 'country:office',
        'Home street' => 'street:home', 'Home city' => 'locality:home', 'Home state' => 'region:home',
        'Home postcode' => 'postcode:home', 'Home country' => 'country:home',
        'Tags' => 'tags', 'Language' => 'language', 'Note' => 'note', 'Unreadable' => self::UNREADABLE,
    ];

    /** The column of what cannot be read of a contact; nothing of that contact is taken. */
    public const UNREADABLE = 'unreadable';

    /** @return list<string> */
    public static function targets(): array
    {
        return array_values(self::COLUMNS);
    }

    /**
     * @return \Generator<int, list<string>> first the headings, then a row for each contact by the line on which it begins
     *
     * @throws InterchangeRefused when it is no such file, or ends in the middle
     */
    public static function rows(FileKind $kind, string $content): \Generator
    {
        yield 0 => array_keys(self::COLUMNS);
        $contacts = match ($kind) {
            FileKind::VCard => CardReader::ofText(CsvTable::text($content)),
            FileKind::JCard => CardReader::ofJson(CsvTable::text($content)),
            FileKind::Ldif => LdifReader::read(CsvTable::text($content)),
            default => throw InterchangeRefused::notThatKind('an address book'),
        };
        foreach ($contacts as $line => $contact) {
            yield $line => self::row($contact);
        }
    }

    /**
     * @param array<string, string> $contact
     *
     * @return list<string>
     */
    public static function row(array $contact): array
    {
        return array_map(fn (string $target) => $contact[$target] ?? '', self::targets());
    }
}
