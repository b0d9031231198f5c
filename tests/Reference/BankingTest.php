<?php

declare(strict_types=1);

namespace Tests\Reference;

use Almanac\Banking\BankingRefused;
use Almanac\Banking\Bic;
use Almanac\Banking\Iban;
use Almanac\Banking\RoutingNumber;
use PHPUnit\Framework\TestCase;

/** Against the npm packages ibantools and bank-routing-number-validator, good numbers and near misses, both ways. */
final class BankingTest extends TestCase
{
    private const COUNT = 1000;

    private const OWN_CHECKS = [
        'BA',
        'BE',
        'CZ',
        'EE',
        'ES',
        'FI',
        'FR',
        'HR',
        'HU',
        'IT',
        'MC',
        'ME',
        'MK',
        'NO',
        'PL',
        'PT',
        'RS',
        'SI',
        'SK',
        'SM',
        'TL',
    ];

    public function test_ibans_bics_and_routing_numbers_agree(): void
    {
        mt_srand(13616);
        $countries = NodeReference::ask('banking.mjs', ['ibans' => [], 'bics' => [], 'routing' => []])['countries'];
        $this->assertGreaterThan(70, count($countries));
        $ibans = [];
        foreach ($countries as [$country, $length]) {
            for ($n = 0; $n < 30; $n++) {
                $ibans[] = $this->iban($country, $length, $n);
            }
        }
        $bics = array_map(fn () => $this->bic(), range(1, self::COUNT));
        $routing = array_map(fn () => $this->routing(), range(1, 5 * self::COUNT));
        $theirs = NodeReference::ask('banking.mjs', ['ibans' => $ibans, 'bics' => $bics, 'routing' => $routing]);

        $this->assertAgree($ibans, $theirs['ibans'], fn (string $iban) => Iban::read($iban), 'IBAN', $this->ibanDiffers(...));
        // The package takes any letters for a country; ISO 9362 has those of ISO 3166-1 there.
        $this->assertAgree($bics, $theirs['bics'], fn (string $bic) => Bic::read($bic), 'BIC', fn (string $bic, bool $ours) => ! $ours);
        $this->assertAgree(
            $routing,
            $theirs['routing'],
            fn (string $number) => RoutingNumber::read($number),
            'routing number',
            fn () => false,
        );
    }

    /**
     * @param list<string> $asked
     * @param list<bool> $theirs
     * @param \Closure(string): string $read
     * @param \Closure(string, bool): bool $isKnown
     */
    private function assertAgree(array $asked, array $theirs, \Closure $read, string $what, \Closure $isKnown): void
    {
        $taken = 0;
        $differences = [];
        foreach ($asked as $at => $number) {
            try {
                $read($number);
                $ours = true;
            } catch (BankingRefused) {
                $ours = false;
            }
            $taken += (int) $ours;
            if ($ours !== $theirs[$at] && ! $isKnown($number, $ours)) {
                $differences[] = $number.($ours ? ' taken here' : ' refused here');
            }
        }
        $this->assertSame([], array_slice($differences, 0, 5), count($differences)." of $what");
        $this->assertGreaterThan(0, $taken, "some of $what are good");
        $this->assertLessThan(count($asked), $taken, "some of $what are not");
    }

    /** Where the package and the registry part (ISO 13616 registry, from memory), and why ours stays. */
    private function ibanDiffers(string $iban, bool $ours): bool
    {
        $country = substr($iban, 0, 2);

        return $ours
            // The bank's code may hold digits there, and the package wants letters; or it looks at the country's own
            // check digits inside the account too, beyond what ISO 13616 asks.
            ? in_array($country, ['BY', 'DO', ...self::OWN_CHECKS], true)
            // Territories whose IBANs begin with the code of the country whose banks keep them; banks whose code has
            // only letters, where the package takes digits.
            : in_array(
                $country,
                ['AX', 'GF', 'GP', 'MF', 'MQ', 'NC', 'PF', 'PM', 'RE', 'TF', 'WF', 'YT', 'BL', 'GE', 'IE', 'PK', 'PS', 'VG'],
                true,
            );
    }

    /** Of a country's length; every other one with digits that fit. */
    private function iban(string $country, int $length, int $n): string
    {
        $bank = '';
        for ($at = 4; $at < $length; $at++) {
            // Letters where some country has them: at the front.
            $bank .= $n % 3 === 0 && $at < 8 ? chr(mt_rand(65, 90)) : (string) mt_rand(0, 9);
        }
        $digits = $n % 2 === 0 ? sprintf('%02d', 98 - $this->mod97($bank.$country.'00')) : sprintf('%02d', mt_rand(2, 98));

        return $country.$digits.$bank;
    }

    private function mod97(string $text): int
    {
        $rest = 0;
        foreach (str_split($text) as $sign) {
            foreach (str_split(ctype_alpha($sign) ? (string) (ord($sign) - 55) : $sign) as $digit) {
                $rest = ($rest * 10 + (int) $digit) % 97;
            }
        }

        return $rest;
    }

    private function bic(): string
    {
        $letters = fn (int $count) => implode('', array_map(fn () => chr(mt_rand(65, 90)), range(1, $count)));

        return $letters(4).['DE', 'GB', 'CH', 'US', 'XX', '1A'][mt_rand(0, 5)].$letters(2).['', 'XXX', '1'][mt_rand(0, 2)];
    }

    private function routing(): string
    {
        return sprintf('%09d', mt_rand(0, 9) < 9 ? mt_rand(0, 400_000_000) : mt_rand(0, 999_999_999));
    }
}
