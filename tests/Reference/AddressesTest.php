<?php

declare(strict_types=1);

namespace Tests\Reference;

use Almanac\Addresses\AddressRefused;
use Almanac\Addresses\Formatter;
use Almanac\Addresses\Layouts;
use Almanac\Addresses\PostalAddress;
use Almanac\Addresses\Recipient;
use PHPUnit\Framework\TestCase;

/**
 * Against the npm packages localized-address-format (made from Google's address data),
 * @fragaria/address-formatter (made from OpenCage's) and postal-codes-js. Capitals are left out
 * of the comparison: neither formatter sets them.
 */
final class AddressesTest extends TestCase
{
    /** Region and postcode by country. */
    private const PLACES = [
        'US' => ['VT', '05301'], 'CA' => ['ON', 'K1A 0B1'], 'GB' => ['', 'E1 1AA'], 'IE' => ['Galway', 'H91 AC12'], 'DE' => ['', '10115'],
        'CH' => ['', '8001'], 'FR' => ['', '25000'], 'NL' => ['', '2311 AB'], 'AU' => ['VIC', '3350'], 'NZ' => ['', '6011'],
    ];

    /** Where localized-address-format differs: the Universal Postal Union advises against the country's letters before the postcode. */
    private const LOCALIZED_DIFFERS = ['CH' => ['CH-8001 Townford' => '8001 Townford']];

    /** Where @fragaria/address-formatter differs: Canada Post writes no comma; the county is printed in Ireland. */
    private const FRAGARIA_DIFFERS = [
        'CA' => ['Townford, ON K1A 0B1' => 'Townford ON K1A 0B1'],
        'IE' => ['H91 AC12' => "Galway\nH91 AC12"],
    ];

    public function test_the_ten_countries_are_laid_out_alike(): void
    {
        $this->assertSame(Layouts::countries(), array_keys(self::PLACES));
        $answers = NodeReference::ask('addresses.mjs', array_map(fn (string $country) => [
            'country' => $country, 'street' => '5 Clock Street', 'locality' => 'Townford',
            'region' => self::PLACES[$country][0], 'postcode' => self::PLACES[$country][1],
            'person' => 'Pat Doe', 'organisation' => 'Doe Clocks',
        ], array_keys(self::PLACES)));

        foreach (array_keys(self::PLACES) as $index => $country) {
            [$region, $postcode] = self::PLACES[$country];
            $address = PostalAddress::of($country, '5 Clock Street', 'Townford', $region, $postcode);
            $this->assertSame(
                $this->explained($answers[$index]['localized'], self::LOCALIZED_DIFFERS[$country] ?? []),
                array_map(mb_strtolower(...), Formatter::onEnvelope($address, Recipient::person('Pat Doe', 'Doe Clocks'), $country)),
                "$country by localized-address-format",
            );
            $this->assertSame(
                $this->explained($answers[$index]['fragaria'], self::FRAGARIA_DIFFERS[$country] ?? []),
                array_map(mb_strtolower(...), Formatter::onScreen($address, $country)),
                "$country by @fragaria/address-formatter",
            );
        }
    }

    public function test_postcodes_are_taken_and_refused_alike(): void
    {
        mt_srand(20261124);
        $asked = [];
        foreach (self::PLACES as $country => [, $postcode]) {
            for ($n = 0; $n < 200; $n++) {
                $asked[] = [$country, $this->near($postcode)];
            }
        }
        $theirs = NodeReference::ask('postcodes.mjs', $asked);
        $differences = [];
        $taken = 0;
        foreach ($asked as $index => [$country, $postcode]) {
            $isTaken = $this->isTaken($country, $postcode);
            $taken += $isTaken ? 1 : 0;
            if ($isTaken !== $theirs[$index] && ! $this->isExplained($country, $postcode, $isTaken)) {
                $differences[] = "$country $postcode: ".($isTaken ? 'only here' : 'only there');
            }
        }
        $this->assertSame([], array_values(array_unique($differences)));
        $this->assertGreaterThan(400, $taken);
        $this->assertLessThan(count($asked) - 400, $taken);
    }

    /** Where the package and we differ, and why. */
    private function isExplained(string $country, string $postcode, bool $isTakenHere): bool
    {
        return match ($country) {
            // BS 7666: the last two letters are never C, I, K, M, O or V, the first never Q, V or X.
            'GB' => ! $isTakenHere && preg_match('/^[QVX]|[CIKMOV].?$/', $postcode) === 1,
            // Swiss postcodes begin at 1000.
            'CH' => ! $isTakenHere && str_starts_with($postcode, '0'),
            // A space too many is tidied away here.
            default => $isTakenHere && str_contains($postcode, '  '),
        };
    }

    /** The postcode as it is, or with one of its signs changed, left out or doubled. */
    private function near(string $postcode): string
    {
        $at = mt_rand(0, strlen($postcode) - 1);
        $sign = $postcode[$at];
        $other = match (true) {
            ctype_digit($sign) => (string) mt_rand(0, 9),
            ctype_alpha($sign) => chr(mt_rand(65, 90)),
            default => $sign,
        };

        return match (mt_rand(0, 3)) {
            0 => substr_replace($postcode, '', $at, 1),
            1 => substr_replace($postcode, $sign.$sign, $at, 1),
            default => substr_replace($postcode, $other, $at, 1),
        };
    }

    private function isTaken(string $country, string $postcode): bool
    {
        try {
            PostalAddress::of($country, '1 Street', 'Town', '', $postcode);

            return true;
        } catch (AddressRefused) {
            return false;
        }
    }

    /**
     * @param list<string> $lines
     * @param array<string, string> $differences
     *
     * @return list<string>
     */
    private function explained(array $lines, array $differences): array
    {
        return explode("\n", mb_strtolower(strtr(implode("\n", $lines), $differences)));
    }
}
