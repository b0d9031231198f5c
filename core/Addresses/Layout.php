<?php

declare(strict_types=1);

namespace Almanac\Addresses;

/** How addresses of one country are typed and laid out. */
final readonly class Layout
{
    /**
     * @param list<string> $lines templates of the lines after the recipient, with {street},
     *                            {locality}, {region} and {postcode}
     * @param list<AddressPart> $capitals parts in capitals on an envelope
     * @param list<AddressPart> $required parts without which post does not arrive
     * @param string $postcodePattern of the tidied postcode without spaces; groups are joined by the separator
     * @param array<string, string> $regions code to name, where the post uses codes
     */
    public function __construct(
        public array $lines,
        public array $capitals,
        public array $required,
        public string $postcodePattern = '',
        public string $postcodeSeparator = ' ',
        public string $postcodeExample = '',
        public string $postcodeName = 'Postcode',
        public string $localityName = 'Town or city',
        public string $regionName = '',
        public array $regions = [],
        public bool $organisationFirst = false,
    ) {
    }

    /**
     * The parts in the order in which the country writes them, street first.
     *
     * @return list<AddressPart>
     */
    public function order(): array
    {
        preg_match_all('/\{(\w+)\}/', implode(' ', $this->lines), $found);
        $parts = [];
        foreach ($found[1] as $name) {
            $parts[] = $name === 'street' ? AddressPart::Lines : AddressPart::from($name);
        }

        return $parts;
    }

    /** What a part is called inside a sentence. */
    public function nameOf(AddressPart $part): string
    {
        return match ($part) {
            AddressPart::Lines => 'street',
            AddressPart::Locality => lcfirst($this->localityName),
            AddressPart::Region => lcfirst($this->regionName),
            AddressPart::Postcode => $this->postcodeNoun(),
            AddressPart::Country => 'country',
        };
    }

    /** The postcode's name inside a sentence. */
    public function postcodeNoun(): string
    {
        return in_array($this->postcodeName, ['ZIP code', 'Eircode'], true) ? $this->postcodeName : lcfirst($this->postcodeName);
    }

    /** The postcode as the country writes it, or null when it has another shape. */
    public function tidyPostcode(string $typed): ?string
    {
        $typed = mb_strtoupper(trim(preg_replace('/\s+/u', ' ', $typed) ?? ''));
        if ($this->postcodePattern === '') {
            return $typed;
        }
        if (preg_match('/^'.$this->postcodePattern.'$/', str_replace([' ', '-'], '', $typed), $part) !== 1) {
            return null;
        }

        return implode($this->postcodeSeparator, array_filter(array_slice($part, 1), fn (string $group) => $group !== ''));
    }

    /** The region's code where the country has codes, the text itself where it has none, or null. */
    public function tidyRegion(string $typed): ?string
    {
        if ($this->regions === []) {
            return $typed;
        }
        $upper = mb_strtoupper($typed);
        foreach ($this->regions as $code => $name) {
            if ($upper === $code || $upper === mb_strtoupper($name)) {
                return $code;
            }
        }

        return null;
    }
}
