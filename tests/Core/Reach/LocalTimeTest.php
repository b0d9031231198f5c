<?php

declare(strict_types=1);

namespace Tests\Core\Reach;

use Almanac\Addresses\Regions;
use Almanac\Reach\LocalTime;
use PHPUnit\Framework\TestCase;

final class LocalTimeTest extends TestCase
{
    public function test_the_address_goes_before_the_number(): void
    {
        foreach (
            [
                ['US', 'VT', '', 'Tue 09:30', 'New York', true],
                ['US', 'CA', '', 'Tue 06:30', 'Los Angeles', false],
                ['US', 'HI', '+18025550142', 'Tue 04:30', 'Honolulu', false],
                ['CH', '', '', 'Tue 15:30', 'Zurich', true],
                ['GB', '', '', 'Tue 14:30', 'London', true],
                ['DE', '', '', 'Tue 15:30', 'Berlin', true],
                ['NZ', '', '', 'Wed 03:30', 'Auckland', false],
                ['IN', '', '', 'Tue 20:00', 'Kolkata', false],
                ['AU', 'NSW', '', 'Wed 01:30', 'Sydney', false],
                ['', '', '+442079460321', 'Tue 14:30', 'London', true],
                ['BR', '', '+551155256325', 'Tue 11:30', 'Sao Paulo', true],
            ] as [$country, $region, $number, $text, $place, $isWorking]
        ) {
            $time = LocalTime::of($country, $region, $number, new \DateTimeImmutable('2026-11-24T14:30:00Z'));
            $this->assertNotNull($time, $country.$number);
            $this->assertSame([$text, $place, $isWorking], [$time->toText(), $time->place(), $time->isWorkingHours()], $country.$number);
        }
        $this->assertNull(LocalTime::of('', '', '', new \DateTimeImmutable));
        $this->assertNull(LocalTime::of('BR', '', '', new \DateTimeImmutable), 'several times, and nothing that tells which');
    }

    public function test_every_region_with_codes_has_a_time(): void
    {
        foreach (['US' => Regions::US, 'CA' => Regions::CA, 'AU' => Regions::AU] as $country => $regions) {
            foreach (array_keys($regions) as $region) {
                if (! in_array($region, ['AA', 'AE', 'AP', 'FM', 'MH', 'PW', 'UM', 'JBT'], true)) {
                    $this->assertNotNull(LocalTime::of($country, (string) $region, '', new \DateTimeImmutable), "$country $region");
                }
            }
        }
    }

    public function test_the_desk_is_kept_from_nine_to_five(): void
    {
        foreach (['08:59' => false, '09:00' => true, '16:59' => true, '17:00' => false] as $hour => $isWorking) {
            $this->assertSame(
                $isWorking,
                LocalTime::of('GB', '', '', new \DateTimeImmutable("2026-11-24T$hour:00Z"))?->isWorkingHours(),
                $hour,
            );
        }
    }
}
