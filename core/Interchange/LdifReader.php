<?php

declare(strict_types=1);

namespace Almanac\Interchange;

/**
 * Reads address books in LDIF, as mail programs export them.
 *
 * Source: RFC 2849, "The LDAP Data Interchange Format (LDIF)"; RFC 4519 for what the attributes mean; those that only address
 * books have are told by how they end, common practice, no published source.
 */
final class LdifReader
{
    private const ATTRIBUTES = [
        'cn' => 'name', 'displayname' => 'name', 'givenname' => 'given', 'gn' => 'given', 'sn' => 'family',
        'surname' => 'family', 'initials' => 'middle', 'personaltitle' => 'prefix',
        'generationqualifier' => 'suffix', 'o' => 'company', 'organizationname' => 'company', 'company' => 'company',
        'ou' => 'department', 'department' => 'department',
        'departmentnumber' => 'department', 'title' => 'job-title', 'mail' => 'email', 'emailaddress' => 'email',
        'rfc822mailbox' => 'email', 'telephonenumber' => 'phone:office',
        'homephone' => 'phone:home', 'mobile' => 'phone:mobile', 'cellphone' => 'phone:mobile',
        'facsimiletelephonenumber' => 'phone:fax', 'fax' => 'phone:fax', 'pager' => 'phone:pager',
        'pagerphone' => 'phone:pager', 'street' => 'street:office', 'streetaddress' => 'street:office',
        'postofficebox' => 'street:office', 'l' => 'locality:office', 'locality' => 'locality:office',
        'st' => 'region:office', 'postalcode' => 'postcode:office', 'zip' => 'postcode:office', 'c' => 'country:office',
        'co' => 'country:office', 'countryname' => 'country:office',
        'labeleduri' => 'website', 'description' => 'note', 'info' => 'note', 'preferredlanguage' => 'language',
    ];

    private const ENDINGS = [
        '/homestreet2?$/' => 'street:home', '/homelocalityname$/' => 'locality:home', '/homestate$/' => 'region:home',
        '/homepostalcode$/' => 'postcode:home', '/homecountryname$/' => 'country:home',
        '/workstreet2$/' => 'street:office', '/secondemail$/' => 'email', '/(home|work)url$/' => 'website',
        '/nickname$/' => 'preferred', '/birth(year|month|day)$/' => 'birth',
    ];

    /** Of which a contact may have several. */
    private const SEVERAL = ['/^(email|phone|website|street|note)/'];

    /** @return \Generator<int, array<string, string>> by target, by the line on which each begins */
    public static function read(string $text): \Generator
    {
        $record = [];
        $begun = 0;
        foreach (self::lines($text) as $line => $one) {
            if ($one === '') {
                yield from self::contact($begun, $record);
                [$record, $begun] = [[], 0];
            } elseif (preg_match('/^([A-Za-z][\w.;-]*):(:|<)?[ ]*(.*)$/s', $one, $part) === 1) {
                $begun = $begun === 0 ? $line : $begun;
                $name = mb_strtolower(explode(';', $part[1])[0]);
                if ($name === 'version' && $record === []) {
                    $begun = 0;

                    continue;
                }
                // What stands at an address is not fetched.
                $value = match ($part[2]) {
                    ':' => (string) base64_decode($part[3]),
                    '<' => '',
                    default => $part[3],
                };
                $record[$name][] = mb_check_encoding($value, 'UTF-8') ? $value : mb_convert_encoding($value, 'UTF-8', 'Windows-1252');
            } else {
                $record[AddressBook::UNREADABLE][] = "Line $line cannot be read.";
            }
        }
        yield from self::contact($begun, $record);
    }

    /** @return \Generator<int, string> unfolded and without comments, by number; an empty one between two records */
    private static function lines(string $text): \Generator
    {
        $held = null;
        $number = $at = 0;
        foreach ([...explode("\n", $text), ''] as $one) {
            $number++;
            if ($held !== null && $one !== '' && $one[0] === ' ') {
                $held .= substr($one, 1);

                continue;
            }
            if ($held !== null && ! str_starts_with($held, '#')) {
                yield $at => $held;
            }
            [$held, $at] = [rtrim($one, "\r"), $number];
        }
    }

    /**
     * @param array<string, list<string>> $record
     *
     * @return \Generator<int, array<string, string>>
     */
    private static function contact(int $line, array $record): \Generator
    {
        $classes = array_map(mb_strtolower(...), $record['objectclass'] ?? []);
        $isAdded = in_array(mb_strtolower($record['changetype'][0] ?? 'add'), ['add', ''], true);
        // Lists of contacts are none, nor are the units that they hang in.
        if (
            ! isset($record['dn'])
            || ! $isAdded
            || array_intersect($classes, ['groupofnames', 'groupofuniquenames', 'organizationalunit', 'dcobject']) !== []
        ) {
            return;
        }
        $found = [];
        foreach ($record as $name => $values) {
            $target = $name === AddressBook::UNREADABLE ? $name : self::ATTRIBUTES[$name] ?? self::byEnding($name);
            if ($target === null || $target === 'birth') {
                continue;
            }
            $isSeveral = preg_match(self::SEVERAL[0], $target) === 1;
            $found[$target] = $isSeveral ? [...$found[$target] ?? [], ...$values] : ($found[$target] ?? array_slice($values, 0, 1));
        }
        $contact = array_filter(
            array_map(fn (array $values) => trim(implode("\n", array_filter($values, fn (string $one) => trim($one) !== ''))), $found),
            fn (string $value) => $value !== '',
        );
        $born = implode(
            '-',
            array_map(fn (string $part) => sprintf('%02d', (int) ($record["birth$part"][0] ?? 0)), ['year', 'month', 'day']),
        );
        $isFirm = in_array('organization', $classes, true) && ! isset($contact['given'], $contact['family']);
        yield $line => $contact + ($isFirm ? ['kind' => 'company', 'name' => $contact['company'] ?? ''] : []) + (preg_match('/^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/', $born) === 1 ? ['birth-date' => $born] : []);
    }

    private static function byEnding(string $name): ?string
    {
        foreach (self::ENDINGS as $pattern => $target) {
            if (preg_match($pattern, $name) === 1) {
                return $target;
            }
        }

        return null;
    }
}
