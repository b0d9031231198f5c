<?php

declare(strict_types=1);

namespace Almanac\Interchange;

use Sabre\VObject\Component\VCard;
use Sabre\VObject\Document;
use Sabre\VObject\InvalidDataException;
use Sabre\VObject\ParseException;
use Sabre\VObject\Property;
use Sabre\VObject\Reader;

/**
 * Reads vCards, many in a file, as phones and mail programs write them, and jCards. Pictures, sounds and keys are left out
 * before anything is read.
 *
 * Source: RFC 6350 (4.0), RFC 2426 (3.0), RFC 7095 (jCard), RFC 6474 (dates of death), RFC 9554 (pronouns, profiles); vCard 2.1
 * from memory.
 */
final class CardReader
{
    private const LEFT_OUT = '/^([\w-]+\.)?(PHOTO|LOGO|SOUND|KEY)[;:]/i';

    /** What types and labels say, in our words; the first that is found. */
    private const LABELS = [
        'cell' => 'mobile', 'mobile' => 'mobile', 'iphone' => 'mobile', 'fax' => 'fax', 'pager' => 'pager',
        'work' => 'office', 'office' => 'office', 'home' => 'home',
    ];

    private const PARTS = ['street', 'locality', 'region', 'postcode', 'country'];

    /** @return \Generator<int, array<string, string>> by target, by the line on which each begins */
    public static function ofText(string $text): \Generator
    {
        $card = [];
        $begun = $line = 0;
        $isLeftOut = false;
        foreach (explode("\n", $text) as $one) {
            $line++;
            $isFolded = $one !== '' && ($one[0] === ' ' || $one[0] === "\t");
            if (! $isFolded) {
                $isLeftOut = preg_match(self::LEFT_OUT, $one) === 1;
            }
            if (preg_match('/^BEGIN:VCARD\s*$/i', $one) === 1) {
                if ($begun !== 0) {
                    throw InterchangeRefused::endsInTheMiddle();
                }
                [$card, $begun] = [[], $line];
            }
            if ($begun !== 0 && ! $isLeftOut) {
                $card[] = $one;
            }
            if ($begun !== 0 && preg_match('/^END:VCARD\s*$/i', $one) === 1) {
                $contact = self::contact(fn () => self::card($card));
                if ($contact !== null) {
                    yield $begun => $contact;
                }
                $begun = 0;
            }
        }
        if ($begun !== 0) {
            throw InterchangeRefused::endsInTheMiddle();
        }
    }

    /** @return \Generator<int, array<string, string>> by target, by the place of each */
    public static function ofJson(string $text): \Generator
    {
        $cards = json_decode($text, true, 64);
        if (! is_array($cards) || $cards === []) {
            throw InterchangeRefused::notThatKind('contacts (jCard)');
        }
        foreach (array_values(($cards[0] ?? null) === 'vcard' ? [$cards] : $cards) as $at => $card) {
            $properties = is_array($card) && is_array($card[1] ?? null) ? $card[1] : [];
            $kept = array_values(array_filter(
                $properties,
                fn (mixed $one) => is_array($one) && ! in_array($one[0] ?? '', ['photo', 'logo', 'sound', 'key'], true),
            ));
            $contact = self::contact(fn () => Reader::readJson(['vcard', $kept], Reader::OPTION_FORGIVING));
            if ($contact !== null) {
                yield $at + 1 => $contact;
            }
        }
    }

    /**
     * @param list<string> $lines
     *
     * @throws ParseException|InvalidDataException when it is none
     */
    private static function card(array $lines): Document
    {
        $read = fn (array $lines) => Reader::read(implode("\r\n", $lines)."\r\n", Reader::OPTION_FORGIVING);
        try {
            return $read($lines);
        } catch (InvalidDataException) {
            // A kind of value of which nobody has heard: read as what the property has usually.
            return $read(preg_replace('/^([^:"]*);VALUE=[^;:"]*/i', '$1', $lines));
        }
    }

    /**
     * @param \Closure(): mixed $read
     *
     * @return array<string, string>|null null of what is a list of contacts rather than one
     */
    private static function contact(\Closure $read): ?array
    {
        try {
            return Strictly::read(function () use ($read): ?array {
                $card = $read();

                return $card instanceof VCard ? self::ofCard($card) : throw new ParseException('No vCard.');
            });
        } catch (ParseException|InvalidDataException|\ErrorException|\InvalidArgumentException|\TypeError|\ValueError) {
            return [AddressBook::UNREADABLE => 'This contact cannot be read. Export it again from where it comes.'];
        }
    }

    /** @return array<string, string>|null null of what is a list of contacts rather than one */
    private static function ofCard(VCard $card): ?array
    {
        $kind = mb_strtolower(self::one($card, 'KIND') ?: self::one($card, 'X-ADDRESSBOOKSERVER-KIND'));

        return $kind === 'group' ? null : array_filter(
            array_map(mb_scrub(...), self::names($card, $kind) + self::reach($card) + self::others($card)),
            fn (string $value) => trim($value) !== '',
        );
    }

    /** @return array<string, string> */
    private static function names(VCard $card, string $kind): array
    {
        $name = self::parts($card, 'N', 5);
        $organisation = self::parts($card, 'ORG', 2);
        $shown = self::one($card, 'FN');
        $isFirm = in_array($kind, ['org', 'location'], true) || mb_strtoupper(self::one($card, 'X-ABSHOWAS')) === 'COMPANY';
        if ($isFirm || (implode('', $name) === '' && $shown !== '' && $shown === $organisation[0])) {
            return ['kind' => 'company', 'name' => $shown === '' ? $organisation[0] : $shown];
        }

        return [
            'kind' => implode('', $name).$shown === '' && $organisation[0] !== '' ? 'company' : 'person',
            'name' => $shown, 'family' => $name[0], 'given' => $name[1], 'middle' => $name[2], 'prefix' => $name[3],
            'suffix' => str_replace(',', ' ', $name[4]),
            'preferred' => explode(',', self::one($card, 'NICKNAME'))[0], 'pronouns' => self::one($card, 'PRONOUNS'),
            'company' => $organisation[0], 'department' => $organisation[1], 'job-title' => self::one($card, 'TITLE'),
            'birth-date' => self::day(self::one($card, 'BDAY')), 'deceased' => self::day(self::one($card, 'DEATHDATE')),
        ];
    }

    /** @return array<string, string> */
    private static function reach(VCard $card): array
    {
        $found = [];
        foreach (['TEL' => 'phone', 'EMAIL' => 'email', 'URL' => 'website', 'IMPP' => 'handle', 'SOCIALPROFILE' => 'profile', 'X-SOCIALPROFILE' => 'profile'] as $name => $key) {
            foreach ($card->select($name) as $property) {
                if (! $property instanceof Property) {
                    continue;
                }
                $label = self::label($card, $property);
                $value = trim(self::text($property));
                $value = $key === 'phone' ? str_replace(';ext=', ' x', preg_replace('/^tel:/i', '', $value) ?? $value) : $value;
                $target = in_array($key, ['phone', 'email'], true) && in_array("$key:$label", AddressBook::targets(), true)
                    ? "$key:$label"
                    : $key;
                if ($value !== '') {
                    $found[$target][] = $value;
                }
            }
        }

        return array_map(fn (array $values) => implode("\n", array_unique($values)), $found) + self::addresses($card);
    }

    /** @return array<string, string> the first of each label in its parts, and one that has none whole */
    private static function addresses(VCard $card): array
    {
        $found = [];
        foreach ($card->select('ADR') as $property) {
            $parts = $property instanceof Property ? array_pad(self::partsOf($property), 7, '') : [];
            if (trim(implode('', $parts)) === '') {
                continue;
            }
            $label = self::label($card, $property);
            $label = in_array($label, ['home', 'office'], true) ? $label : '';
            $label = $label !== '' && isset($found["street:$label"]) ? '' : $label;
            // Post office box and extended address stand before the street (RFC 6350, 6.3.1).
            $street = implode("\n", array_filter([$parts[2], $parts[1], $parts[0]], fn (string $part) => trim($part) !== ''));
            foreach (self::PARTS as $at => $key) {
                $target = $label === '' ? $key : "$key:$label";
                $found[$target] ??= trim($at === 0 ? $street : $parts[$at + 2]);
            }
        }

        return $found;
    }

    /** @return array<string, string> */
    private static function others(VCard $card): array
    {
        $tags = [];
        foreach ($card->select('CATEGORIES') as $property) {
            $tags = [...$tags, ...$property instanceof Property ? self::partsOf($property) : []];
        }

        return ['tags' => implode(';', $tags), 'language' => self::one($card, 'LANG'), 'note' => self::one($card, 'NOTE')];
    }

    /** By its types, or by the label that is kept beside it under the same group. */
    private static function label(VCard $card, Property $property): string
    {
        $types = [];
        foreach ($property['TYPE'] ?? [] as $type) {
            $types = [...$types, ...explode(',', mb_strtolower((string) $type))];
        }
        foreach ($property->group === null ? [] : $card->select('X-ABLABEL') as $label) {
            if ($label instanceof Property && $label->group === $property->group) {
                $types[] = mb_strtolower(trim((string) $label, '_$!<>'));
            }
        }
        // In vCard 2.1 a type stands by itself.
        foreach ($property->parameters() as $name => $parameter) {
            $types[] = mb_strtolower((string) $name);
        }
        foreach (self::LABELS as $type => $label) {
            if (in_array($type, $types, true)) {
                return $label;
            }
        }

        return '';
    }

    private static function one(VCard $card, string $name): string
    {
        $property = $card->select($name)[0] ?? null;

        return $property instanceof Property ? trim(self::text($property)) : '';
    }

    private static function text(Property $property): string
    {
        return self::decoded($property->getValue(), $property);
    }

    /** @return list<string> */
    private static function parts(VCard $card, string $name, int $count): array
    {
        $property = $card->select($name)[0] ?? null;

        return array_pad($property instanceof Property ? self::partsOf($property) : [], $count, '');
    }

    /** @return list<string> */
    private static function partsOf(Property $property): array
    {
        return array_values(array_map(fn (mixed $part) => self::decoded(match (true) {
            is_array($part) => implode(' ', array_filter($part, is_string(...))),
            is_scalar($part) => trim((string) $part),
            default => '',
        }, $property), $property->getParts()));
    }

    /** In vCard 2.1 each property may be in a set of characters of its own. */
    private static function decoded(string $text, Property $property): string
    {
        if (mb_check_encoding($text, 'UTF-8')) {
            return $text;
        }
        $parameter = $property->parameters()['CHARSET'] ?? null;
        $named = mb_strtoupper((string) $parameter?->getValue());
        $known = array_map(mb_strtoupper(...), mb_list_encodings());

        return mb_convert_encoding($text, 'UTF-8', in_array($named, $known, true) && $named !== 'UTF-8' ? $named : 'Windows-1252') ?: '';
    }

    /** A whole day; one without its year says too little (RFC 6350, 4.3.1). */
    private static function day(string $value): string
    {
        return preg_match('/^(\d{4})-?(\d{2})-?(\d{2})/', $value, $part) === 1 ? "$part[1]-$part[2]-$part[3]" : '';
    }
}
