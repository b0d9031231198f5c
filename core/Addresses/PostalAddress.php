<?php

declare(strict_types=1);

namespace Almanac\Addresses;

use Symfony\Component\Intl\Countries;

/** A postal address: free lines, then the parts that the country's post sorts by. */
final readonly class PostalAddress
{
    /** With the recipient and the place, eight lines print whole. */
    private const MAX_LINES = 6;

    private const MAX_LENGTH = 100;

    /** @param  list<string>  $lines */
    private function __construct(
        public string $country,
        public array $lines,
        public string $locality,
        public string $region,
        public string $postcode,
    ) {
    }

    /**
     * What is missing is allowed, and told by missing(); what is wrong is refused.
     *
     * @param string $country ISO 3166-1 alpha-2 code
     * @param string $lines street, building, floor: one to a line
     *
     * @throws AddressRefused when the country does not exist, everything else is empty, a line is
     *                        too long, or the postcode or region is not of that country
     */
    public static function of(string $country, string $lines, string $locality, string $region, string $postcode): self
    {
        $country = mb_strtoupper(trim($country));
        if (! Countries::exists($country)) {
            throw AddressRefused::unknownCountry($country);
        }
        $split = self::splitLines($lines);
        $locality = self::tidy(AddressPart::Locality, $locality);
        $region = self::tidy(AddressPart::Region, $region);
        $postcode = self::tidy(AddressPart::Postcode, $postcode);
        if ($split === [] && $locality === '' && $postcode === '') {
            throw AddressRefused::empty();
        }

        $layout = Layouts::for($country);

        return new self(
            $country,
            $split,
            $locality,
            $region === '' ? '' : $layout->tidyRegion($region) ?? throw AddressRefused::region($region, $layout),
            $postcode === '' ? '' : $layout->tidyPostcode($postcode) ?? throw self::wrongPostcode($postcode, $layout, $country),
        );
    }

    public function layout(): Layout
    {
        return Layouts::for($this->country);
    }

    /**
     * The parts without which post does not arrive and which are empty here.
     *
     * @return list<AddressPart>
     */
    public function missing(): array
    {
        return array_values(array_filter($this->layout()->required, fn (AddressPart $part) => $this->text($part) === ''));
    }

    public function text(AddressPart $part): string
    {
        return match ($part) {
            AddressPart::Lines => implode("\n", $this->lines),
            AddressPart::Locality => $this->locality,
            AddressPart::Region => $this->region,
            AddressPart::Postcode => $this->postcode,
            AddressPart::Country => $this->country,
        };
    }

    public function equals(self $other): bool
    {
        return $this->country === $other->country && $this->lines === $other->lines
            && $this->locality === $other->locality && $this->region === $other->region
            && $this->postcode === $other->postcode;
    }

    /** @return list<string> */
    private static function splitLines(string $lines): array
    {
        $split = array_values(array_filter(
            array_map(fn (string $line) => self::tidy(AddressPart::Lines, $line), preg_split('/\R/u', $lines) ?: []),
            fn (string $line) => $line !== '',
        ));

        return count($split) > self::MAX_LINES ? throw AddressRefused::tooManyLines(self::MAX_LINES) : $split;
    }

    private static function tidy(AddressPart $part, string $text): string
    {
        $text = trim(preg_replace('/[\p{Cc}\s]+/u', ' ', $text) ?? '');

        return mb_strlen($text) > self::MAX_LENGTH ? throw AddressRefused::tooLong($part, self::MAX_LENGTH) : $text;
    }

    private static function wrongPostcode(string $postcode, Layout $layout, string $country): AddressRefused
    {
        $fitting = array_filter(
            Layouts::countries(),
            fn (string $other) => $other !== $country && Layouts::for($other)->tidyPostcode($postcode) !== null,
        );

        return AddressRefused::postcode(
            $postcode,
            $layout,
            CountryNames::in($country),
            array_map(CountryNames::in(...), array_values($fitting)),
        );
    }
}
