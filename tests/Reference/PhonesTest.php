<?php

declare(strict_types=1);

namespace Tests\Reference;

use Almanac\Reach\PhoneNumber;
use libphonenumber\PhoneNumberFormat;
use libphonenumber\PhoneNumberUtil;
use PHPUnit\Framework\TestCase;

/** Against the example number that libphonenumber publishes for every region. */
final class PhonesTest extends TestCase
{
    public function test_the_example_number_of_every_region_is_taken_and_kept(): void
    {
        $util = PhoneNumberUtil::getInstance();
        $regions = $util->getSupportedRegions();
        $this->assertGreaterThan(240, count($regions));
        foreach ($regions as $region) {
            $example = $util->getExampleNumber($region);
            $this->assertNotNull($example, "libphonenumber has an example for $region");
            $e164 = $util->format($example, PhoneNumberFormat::E164);
            foreach (
                [
                    PhoneNumberFormat::NATIONAL, PhoneNumberFormat::INTERNATIONAL, PhoneNumberFormat::E164,
                    PhoneNumberFormat::RFC3966,
                ] as $format
            ) {
                $typed = $util->format($example, $format);
                $phone = PhoneNumber::fromTyped($typed, $region);
                $this->assertSame($e164, $phone->e164, "$typed in $region");
                $this->assertFalse($phone->isUnusual, "$typed in $region");
            }
            $phone = PhoneNumber::ofE164($e164, '');
            $this->assertSame($util->format($example, PhoneNumberFormat::INTERNATIONAL), $phone->displayFrom('ZZ'));
            if ($phone->region === $region) {
                $this->assertSame($util->format($example, PhoneNumberFormat::NATIONAL), $phone->displayFrom($region));
            }
        }
    }

    public function test_a_number_of_another_country_is_shown_internationally(): void
    {
        $util = PhoneNumberUtil::getInstance();
        foreach ($util->getSupportedRegions() as $region) {
            $example = $util->getExampleNumber($region);
            if ($example !== null && $example->getCountryCode() !== 41) {
                $this->assertStringStartsWith(
                    '+',
                    PhoneNumber::ofE164($util->format($example, PhoneNumberFormat::E164), '')->displayFrom('CH'),
                );
            }
        }
    }
}
