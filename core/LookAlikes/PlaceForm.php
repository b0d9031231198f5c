<?php

declare(strict_types=1);

namespace Almanac\LookAlikes;

use Almanac\Finding\Fold;

/**
 * An address without its dress: Street or St, North or N, First or 1st, the unit, one line or two, a post office box.
 * Suffixes, directions and units as in Publication 28 of the United States Postal Service, from memory.
 */
final readonly class PlaceForm
{
    /** As written, and in full. */
    private const SUFFIXES = [
        'alley' => 'alley', 'aly' => 'alley', 'avenue' => 'avenue', 'ave' => 'avenue', 'av' => 'avenue', 'boulevard' => 'boulevard',
        'blvd' => 'boulevard', 'bridge' => 'bridge', 'brg' => 'bridge', 'bypass' => 'bypass', 'byp' => 'bypass',
        'causeway' => 'causeway', 'cswy' => 'causeway', 'center' => 'center', 'ctr' => 'center', 'centre' => 'center',
        'circle' => 'circle', 'cir' => 'circle', 'close' => 'close', 'common' => 'common', 'commons' => 'commons', 'court' => 'court',
        'ct' => 'court', 'cove' => 'cove', 'cv' => 'cove', 'crescent' => 'crescent', 'cres' => 'crescent', 'crossing' => 'crossing',
        'xing' => 'crossing', 'drive' => 'drive', 'dr' => 'drive', 'estate' => 'estate', 'est' => 'estate',
        'expressway' => 'expressway', 'expy' => 'expressway', 'extension' => 'extension', 'ext' => 'extension', 'freeway' => 'freeway',
        'fwy' => 'freeway', 'gardens' => 'gardens', 'gdns' => 'gardens', 'green' => 'green', 'grn' => 'green', 'grove' => 'grove',
        'grv' => 'grove', 'heights' => 'heights', 'hts' => 'heights', 'highway' => 'highway', 'hwy' => 'highway', 'hill' => 'hill',
        'hl' => 'hill', 'hollow' => 'hollow', 'holw' => 'hollow', 'island' => 'island', 'is' => 'island', 'junction' => 'junction',
        'jct' => 'junction', 'landing' => 'landing', 'lndg' => 'landing', 'lane' => 'lane', 'ln' => 'lane', 'loop' => 'loop',
        'manor' => 'manor', 'mnr' => 'manor', 'meadow' => 'meadow', 'meadows' => 'meadows', 'mdws' => 'meadows', 'mews' => 'mews',
        'park' => 'park', 'parkway' => 'parkway', 'pkwy' => 'parkway', 'pass' => 'pass', 'path' => 'path', 'pike' => 'pike',
        'place' => 'place', 'pl' => 'place', 'plaza' => 'plaza', 'plz' => 'plaza', 'point' => 'point', 'pt' => 'point',
        'ridge' => 'ridge', 'rdg' => 'ridge', 'road' => 'road', 'rd' => 'road', 'route' => 'route', 'rte' => 'route', 'row' => 'row',
        'run' => 'run', 'square' => 'square', 'sq' => 'square', 'station' => 'station', 'sta' => 'station', 'street' => 'street',
        'st' => 'street', 'str' => 'street', 'terrace' => 'terrace', 'ter' => 'terrace', 'terr' => 'terrace', 'trail' => 'trail',
        'trl' => 'trail', 'turnpike' => 'turnpike', 'tpke' => 'turnpike', 'view' => 'view', 'vw' => 'view', 'village' => 'village',
        'vlg' => 'village', 'walk' => 'walk', 'way' => 'way', 'strasse' => 'strasse', 'platz' => 'platz', 'weg' => 'weg',
        'gasse' => 'gasse', 'allee' => 'allee',
    ];

    private const DIRECTIONS = [
        'north' => 'n', 'south' => 's', 'east' => 'e', 'west' => 'w', 'northeast' => 'ne', 'northwest' => 'nw',
        'southeast' => 'se', 'southwest' => 'sw',
    ];

    private const ORDINALS = [
        'first' => '1st', 'second' => '2nd', 'third' => '3rd', 'fourth' => '4th', 'fifth' => '5th', 'sixth' => '6th', 'seventh' => '7th',
        'eighth' => '8th', 'ninth' => '9th', 'tenth' => '10th',
    ];

    private const UNITS = [
        'apartment', 'apt', 'suite', 'ste', 'unit', 'floor', 'fl', 'room', 'rm', 'flat', 'no', 'bldg', 'building',
        'lot', 'trlr',
    ];

    private function __construct(
        public string $postcode,
        public string $locality,
        public string $number,
        public string $street,
        public string $unit,
    ) {
    }

    /** @param  string  $lines  of an address without its town, as they are kept */
    public static function of(string $lines, string $locality, string $postcode): self
    {
        $number = $street = $unit = '';
        foreach (explode("\n", $lines) as $line) {
            [$itsNumber, $itsStreet, $itsUnit] = self::line($line);
            // The line with a number is the street; another may hold the unit, the department or the building.
            if ($street === '' || ($number === '' && $itsNumber !== '')) {
                [$number, $street] = [$itsNumber, $itsStreet];
            }
            $unit = $unit === '' ? $itsUnit : $unit;
        }

        return new self(
            // Of the nine figures of a ZIP code the first five: few write the rest.
            preg_match('/^\d{5}-\d{4}$/', $postcode) === 1
                ? substr($postcode, 0, 5)
                : Fold::text(preg_replace('/\s+/', '', $postcode) ?? ''),
            Fold::text($locality),
            $number,
            $street,
            $unit,
        );
    }

    public function isKnown(): bool
    {
        return $this->street !== '' && ($this->postcode !== '' || $this->locality !== '');
    }

    /** The same for one house, however it is written; empty where too little is known. */
    public function key(): string
    {
        return $this->isKnown()
            ? ($this->postcode === '' ? $this->locality : $this->postcode)." $this->number ".explode(' ', $this->street)[0]
            : '';
    }

    /** The same for one address, unit and all, however it is written; empty where too little is known. */
    public function form(): string
    {
        return $this->isKnown()
            ? ($this->postcode === '' ? $this->locality : $this->postcode)."|$this->number|$this->street|$this->unit"
            : '';
    }

    public function isSameTown(self $other): bool
    {
        return ($this->postcode !== '' && $this->postcode === $other->postcode)
            || ($this->locality !== '' && $this->locality === $other->locality);
    }

    /** Whether it is the same house, the unit apart. */
    public function isSameHouse(self $other): bool
    {
        return $this->number === $other->number && $this->isSameTown($other)
            && ($this->street === $other->street || Spelled::alike($this->street, $other->street));
    }

    /** Whether both name a unit, and not the same. */
    public function isOtherUnit(self $other): bool
    {
        return $this->unit !== '' && $other->unit !== '' && $this->unit !== $other->unit;
    }

    /** @return array{string, string, string} the number, the street without its dress, the unit */
    private static function line(string $line): array
    {
        $words = Fold::words(preg_replace('/(?<=\b\w)\.(?=\w\b)/u', '', $line) ?? $line);
        if (
            preg_match('/\b(?:p ?o ?box|post office box|box|postfach)\s*(\d+\w*)/u', implode(' ', $words), $box) === 1
            && ! in_array('route', $words, true)
        ) {
            return [$box[1], 'box', ''];
        }
        $number = $unit = '';
        $street = [];
        for ($at = 0; $at < count($words); $at++) {
            $word = $words[$at];
            if (in_array($word, self::UNITS, true)) {
                $unit = $words[$at + 1] ?? $unit;
                $at++;
            } elseif (preg_match('/^\d+[a-z]?$/', $word) === 1 && $number === '') {
                $number = $word;
            } elseif (preg_match('/^\d+[a-z]?$/', $word) === 1 && $unit === '' && $at === count($words) - 1) {
                $unit = $word;
            } else {
                $street[] = self::DIRECTIONS[$word] ?? self::ORDINALS[$word] ?? self::SUFFIXES[$word] ?? $word;
            }
        }
        $bare = array_values(array_diff($street, self::SUFFIXES, self::DIRECTIONS));

        return [$number, implode(' ', $bare === [] ? $street : $bare), $unit];
    }
}
