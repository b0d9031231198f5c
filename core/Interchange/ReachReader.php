<?php

declare(strict_types=1);

namespace Almanac\Interchange;

use Almanac\Addresses\AddressRefused;
use Almanac\Addresses\AddressUse;
use Almanac\Addresses\CountryNames;
use Almanac\Addresses\PostalAddress;
use Almanac\Addresses\TypedAddress;
use Almanac\Names\NamePart;
use Almanac\Reach\ContactKind;
use Almanac\Reach\EmailAddress;
use Almanac\Reach\Handle;
use Almanac\Reach\PhoneNumber;
use Almanac\Reach\WebAddress;

/**
 * Reads of a line how somebody is reached and where: one or several in a cell, an address whole or in its parts.
 *
 * @phpstan-import-type Point from PartyRow
 * @phpstan-import-type Postal from PartyRow
 */
final readonly class ReachReader
{
    private const LABEL = 60;

    /** Where postcodes have five digits, and may begin with a nought. */
    private const NOUGHTS = ['US', 'DE', 'FR', 'ES', 'IT'];

    /** Labels that files write otherwise; RFC 2426, 3.3.1 for the types of phones. */
    private const LABELS = [
        'cell' => 'mobile', 'work' => 'office', 'business' => 'office', 'handy' => 'mobile', 'facsimile' => 'fax',
        'voice' => '', 'internet' => '', 'pref' => '', 'other' => '', 'main' => '',
    ];

    /** Of the uses of an address, what files call them. */
    private const USES = [
        'work' => 'office', 'business' => 'office', 'mailing' => 'postal', 'mail' => 'postal', 'bill to' => 'billing',
        'invoice' => 'billing', 'ship to' => 'delivery',
        'shipping' => 'delivery', 'remit to' => 'remit-to', 'payment' => 'remit-to', 'ship from' => 'ship-from',
        'residential' => 'home', 'private' => 'home',
    ];

    /** @param  \Closure(int, \Closure): mixed  $at  reads, and notes what is refused at the column */
    public function __construct(private ReadingOffice $office, private \Closure $at)
    {
    }

    /**
     * @param string $country in which a number without + is dialled
     *
     * @return list<Point>
     */
    public function points(TargetedLine $line, string $country): array
    {
        $points = [];
        foreach (ContactKind::cases() as $kind) {
            $labels = [];
            foreach ($line->of("$kind->value-label") as [, $target, $text]) {
                $labels[$target->label] = $text;
            }
            foreach ($line->of($kind->value) as [$column, $target, $text]) {
                $label = self::label($labels[$target->label] ?? (ctype_digit($target->label) ? '' : $target->label));
                foreach (self::apart($kind, $text) as $one) {
                    /** @var Point|null $point */
                    $point = ($this->at)($column, fn () => $this->point($kind, $one, $label, $country));
                    if ($point !== null) {
                        $points["$point[kind] $point[value]"] ??= $point;
                    }
                }
            }
        }

        return array_values($points);
    }

    /**
     * @param array<string> $names of the record, which are no part of its address
     *
     * @return list<Postal>
     */
    public function addresses(TargetedLine $line, array $names): array
    {
        $addresses = [];
        foreach ($line->groups(PartyColumns::ADDRESS_PARTS) as $label => $group) {
            $part = fn (string $key) => implode("\n", array_column($group[$key] ?? [], 1));
            $column = fn (string $key) => ($group[$key] ?? reset($group) ?: [[0, '']])[0][0];
            $country = $this->country($part('country'), $column('country'));
            if ($part('address') !== '') {
                $read = TypedAddress::read($part('address'), $country, array_values($names));
                $typed = [$read->country, $read->lines, $read->locality, $read->region, $read->postcode];
                // What stands in a column of its own is meant.
                foreach (['street', 'locality', 'region', 'postcode'] as $at => $key) {
                    $typed[$at + 1] = $part($key) === '' ? $typed[$at + 1] : $part($key);
                }
            } elseif ($part('street').$part('locality').$part('postcode') === '') {
                continue;
            } else {
                $typed = [$country, $part('street'), $part('locality'), $part('region'), self::whole($part('postcode'), $country)];
            }
            $postal = $this->postal($typed, $column);
            if ($postal !== null) {
                $addresses[] = [
                    'country' => $postal->country, 'lines' => implode("\n", $postal->lines), 'locality' => $postal->locality,
                    'region' => $postal->region, 'postcode' => $postal->postcode,
                    'attention' => (string) ($this->at)($column('attention'), fn () => NamePart::tidy($part('attention'))),
                    'careOf' => (string) ($this->at)($column('care-of'), fn () => NamePart::tidy($part('care-of'))),
                    'uses' => self::uses($part('address-uses') === '' ? (string) $label : $part('address-uses')),
                ];
            }
        }

        return $addresses;
    }

    /** @return Point */
    private function point(ContactKind $kind, string $typed, string $label, string $country): array
    {
        $value = match ($kind) {
            ContactKind::Phone => PhoneNumber::fromTyped($typed, $country)->inFull(),
            ContactKind::Email => EmailAddress::fromTyped($typed)->address(),
            ContactKind::Website, ContactKind::Profile => WebAddress::fromTyped($typed)->url,
            ContactKind::Handle => Handle::fromTyped($typed)->name,
        };

        return ['kind' => $kind->value, 'value' => $value, 'typed' => $typed, 'label' => $label];
    }

    private static function label(string $label): string
    {
        $plain = TargetColumn::plain($label);

        return mb_substr(trim(self::LABELS[$plain] ?? $label), 0, self::LABEL);
    }

    /** @return list<string> */
    private static function apart(ContactKind $kind, string $text): array
    {
        $between = match ($kind) {
            ContactKind::Phone => '/\s*[;\n,]\s*|\s+\/\s+|\s+or\s+/i',
            ContactKind::Email => '/[;,\s]+(?=[^\s;,]+@)|[;\n]+/',
            default => '/[;\n]+/',
        };

        return array_values(array_filter(array_map(trim(...), preg_split($between, $text) ?: []), fn (string $one) => $one !== ''));
    }

    /** A spreadsheet that took a postcode for a number has lost the nought before it; common practice, no published source. */
    private static function whole(string $postcode, string $country): string
    {
        $hasLost = in_array($country, self::NOUGHTS, true) && preg_match('/^\d{3,4}$/', trim($postcode)) === 1;

        return $hasLost ? str_pad(trim($postcode), 5, '0', STR_PAD_LEFT) : $postcode;
    }

    /** ISO 3166-1 alpha-2, by its code of two or three letters or its English or own name. */
    private function country(string $text, int $column): string
    {
        if (trim($text) === '') {
            return $this->office->country;
        }

        return (string) (($this->at)($column, fn () => CountryNames::code($text) ?? throw InterchangeRefused::unknownWord($text, 'the name of a country, or its two letters')) ?? $this->office->country);
    }

    /**
     * What is refused is noted at the column that it is about.
     *
     * @param array{string, string, string, string, string} $typed
     * @param \Closure(string): int $column
     */
    private function postal(array $typed, \Closure $column): ?PostalAddress
    {
        try {
            return PostalAddress::of(...$typed);
        } catch (AddressRefused $refused) {
            ($this->at)($column(['lines' => 'street'][$refused->part->value] ?? $refused->part->value), fn () => throw $refused);

            return null;
        }
    }

    /** @return list<string> */
    private static function uses(string $text): array
    {
        /** @var array<string, string>|null $known */
        static $known = null;
        $known ??= array_merge(...array_map(
            fn (AddressUse $use) => array_fill_keys([TargetColumn::plain($use->value), TargetColumn::plain($use->title())], $use->value),
            AddressUse::cases(),
        )) + self::USES;
        $plain = array_map(TargetColumn::plain(...), preg_split('/[;,\n]+/', $text) ?: []);

        return array_values(array_unique(array_filter(array_map(fn (string $one) => $known[$one] ?? null, $plain))));
    }
}
