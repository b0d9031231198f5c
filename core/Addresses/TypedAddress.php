<?php

declare(strict_types=1);

namespace Almanac\Addresses;

use Almanac\Addresses\AddressPart as Part;

/**
 * A whole address as somebody pastes it, taken apart by the layout of its country: on lines, or
 * on one line with commas. What could not be told for sure is named, to be looked at.
 */
final readonly class TypedAddress
{
    private const GAP = '[,\s]+';

    /** @param  list<Part>  $doubtful */
    private function __construct(
        public string $country,
        public string $lines,
        public string $locality,
        public string $region,
        public string $postcode,
        public array $doubtful,
    ) {
    }

    /**
     * @param string $home ISO 3166-1 code of the country an address without one is in
     * @param list<string> $names of the party, which are no part of the address
     */
    public static function read(string $typed, string $home, array $names = []): self
    {
        $lines = array_values(array_filter(array_map(
            fn (string $line) => trim(preg_replace('/[\p{Cc}\s]+/u', ' ', $line) ?? '', ' ,'),
            preg_split('/\R/u', trim($typed)) ?: [],
        ), fn (string $line) => $line !== ''));
        if (count($lines) === 1) {
            $lines = array_map(trim(...), explode(',', $lines[0]));
        }
        [$country, $lines] = self::country($lines);
        $lines = self::withoutNames($lines, $names);
        $tail = self::tail($lines, $country ?? $home);
        $isGuess = false;
        if ($tail === null && $country === null) {
            foreach (array_diff(Layouts::countries(), [$home]) as $other) {
                $found = self::tail($lines, $other);
                // Only a postcode with letters tells its country.
                if ($found !== null && preg_match('/[A-Z]/', $found[Part::Postcode->value]) === 1) {
                    [$tail, $country, $isGuess] = [$found, $other, true];
                    break;
                }
            }
        }
        if ($tail === null) {
            return new self($country ?? $home, implode("\n", $lines), '', '', '', [Part::Locality, Part::Postcode]);
        }

        return new self(
            $country ?? $home,
            $tail[Part::Lines->value],
            $tail[Part::Locality->value],
            $tail[Part::Region->value],
            $tail[Part::Postcode->value],
            [...($isGuess ? [Part::Country] : []), ...($tail[Part::Lines->value] === '' ? [Part::Lines] : [])],
        );
    }

    /**
     * @param list<string> $lines
     *
     * @return array{string|null, list<string>} the country that the last line names, and the others
     */
    private static function country(array $lines): array
    {
        $code = CountryNames::named(end($lines) ?: '');

        return $code === null || count($lines) < 2 ? [null, $lines] : [$code, array_slice($lines, 0, -1)];
    }

    /**
     * @param list<string> $lines
     * @param list<string> $names
     *
     * @return list<string>
     */
    private static function withoutNames(array $lines, array $names): array
    {
        $known = array_map(mb_strtolower(...), $names);
        while (count($lines) > 1 && in_array(mb_strtolower($lines[0]), $known, true)) {
            array_shift($lines);
        }

        return $lines;
    }

    /**
     * The parts at the end, by the order in which the country writes them, and the street before them.
     *
     * @param list<string> $lines
     *
     * @return array<string, string>|null by the name of the part
     */
    private static function tail(array $lines, string $country): ?array
    {
        $layout = Layouts::for($country);
        if (preg_match('/^(?:(?<lines>.*?)\n)?'.self::tailPattern($layout).'$/isu', implode("\n", $lines), $found) !== 1) {
            return null;
        }
        $read = [Part::Lines->value => $found['lines']];
        foreach ([Part::Locality, Part::Region, Part::Postcode] as $part) {
            $read[$part->value] = trim($found[$part->value] ?? '', " \n,");
        }
        $postcode = $read[Part::Postcode->value] === '' ? '' : $layout->tidyPostcode($read[Part::Postcode->value]);

        return $postcode === null
            ? null
            : [Part::Postcode->value => $postcode, Part::Region->value => $layout->tidyRegion($read[Part::Region->value]) ?? ''] + $read;
    }

    /** Parts without which post does not arrive have to be there; the others may. */
    private static function tailPattern(Layout $layout): string
    {
        $pattern = '';
        foreach ($layout->order() as $part) {
            if ($part !== Part::Lines) {
                $one = '(?<'.$part->value.'>'.self::pattern($part, $layout).')';
                $isRequired = in_array($part, $layout->required, true);
                $between = $pattern === '' || str_ends_with($pattern, self::GAP.')?') ? '' : self::GAP;
                $pattern .= match (true) {
                    $isRequired => $between.$one,
                    $pattern === '' => '(?:'.$one.self::GAP.')?',
                    default => '(?:'.$between.$one.')?',
                };
            }
        }

        return $pattern;
    }

    private static function pattern(Part $part, Layout $layout): string
    {
        return match (true) {
            $part === Part::Postcode && $layout->postcodePattern !== '' => preg_replace(
                ['/\)\((?!\?)/', '/\((?!\?)/'],
                [')[ -]?(', '(?:'],
                $layout->postcodePattern,
            ) ?? '',
            $part === Part::Postcode => '[A-Z]{0,2}[ -]?\d[\dA-Z -]{2,8}',
            $part === Part::Region && $layout->regions !== [] => implode('|', array_map(
                fn (string $name) => preg_quote($name, '/'),
                [...array_values($layout->regions), ...array_map(strval(...), array_keys($layout->regions))],
            )),
            $part === Part::Region => '(?:Co\.?|County) [^\n,]+?',
            default => '[^\n,]+?',
        };
    }
}
