<?php

declare(strict_types=1);

namespace Almanac\Reach;

use libphonenumber\NumberParseException;
use libphonenumber\PhoneNumberToTimeZonesMapper;
use libphonenumber\PhoneNumberUtil;

/**
 * What the clock shows where somebody is: by the address, where its country or region has one
 * time, else by the phone number (libphonenumber's mapper). Where a region has several, the one
 * that most of its people live by; from memory of the IANA time zone database.
 */
final readonly class LocalTime
{
    private const OPENS = 9;

    private const CLOSES = 17;

    private const REGIONS = [
        'US' => [
            'America/New_York' => 'CT DC DE FL GA IN KY MA MD ME MI NC NH NJ NY OH PA RI SC VA VT WV',
            'America/Chicago' => 'AL AR IA IL KS LA MN MO MS ND NE OK SD TN TX WI',
            'America/Denver' => 'CO ID MT NM UT WY',
            'America/Phoenix' => 'AZ',
            'America/Los_Angeles' => 'CA NV OR WA',
            'America/Anchorage' => 'AK',
            'Pacific/Honolulu' => 'HI',
            'America/Puerto_Rico' => 'PR VI',
            'Pacific/Guam' => 'GU MP',
            'Pacific/Pago_Pago' => 'AS',
        ],
        'CA' => [
            'America/St_Johns' => 'NL',
            'America/Halifax' => 'NB NS PE',
            'America/Toronto' => 'NU ON QC',
            'America/Winnipeg' => 'MB',
            'America/Regina' => 'SK',
            'America/Edmonton' => 'AB NT',
            'America/Vancouver' => 'BC',
            'America/Whitehorse' => 'YT',
        ],
        'AU' => [
            'Australia/Sydney' => 'ACT NSW',
            'Australia/Melbourne' => 'VIC',
            'Australia/Hobart' => 'TAS',
            'Australia/Brisbane' => 'QLD',
            'Australia/Adelaide' => 'SA',
            'Australia/Darwin' => 'NT',
            'Australia/Perth' => 'WA',
        ],
    ];

    private function __construct(private \DateTimeImmutable $there)
    {
    }

    /**
     * @param string $country ISO 3166-1 code of the address; empty without one
     * @param string $e164 a phone number; empty without one
     *
     * @return self|null null when neither tells
     */
    public static function of(string $country, string $region, string $e164, \DateTimeImmutable $now): ?self
    {
        $zone = self::zoneAt($country, $region) ?? self::ofNumber($e164);

        return $zone === null ? null : new self($now->setTimezone(new \DateTimeZone($zone)));
    }

    /** Whether the clock shows the same there as on another. */
    public function isThatOf(\DateTimeImmutable $here): bool
    {
        return $this->there->getOffset() === $here->getOffset();
    }

    /** For reading: "Tue 15:30". */
    public function toText(): string
    {
        return $this->there->format('D H:i');
    }

    /** Europe/Zurich, told as "Zurich". */
    public function place(): string
    {
        $name = $this->there->getTimezone()->getName();

        return str_replace('_', ' ', substr($name, (int) strrpos('/'.$name, '/')));
    }

    /** Whether somebody is likely to be at the desk: from 9 to 17 (common practice, no published source). */
    public function isWorkingHours(): bool
    {
        $hour = (int) $this->there->format('G');

        return $hour >= self::OPENS && $hour < self::CLOSES;
    }

    /** The zone of an address, or null where its country and region do not tell. */
    public static function zoneAt(string $country, string $region): ?string
    {
        foreach (self::REGIONS[$country] ?? [] as $zone => $regions) {
            if (in_array($region, explode(' ', $regions), true)) {
                return $zone;
            }
        }
        $zones = $country === '' ? [] : \DateTimeZone::listIdentifiers(\DateTimeZone::PER_COUNTRY, $country);

        return count($zones) === 1 ? $zones[0] : self::capital($country, $zones);
    }

    /**
     * Countries with one time nearly everywhere, and an exclave or a historical zone beside it.
     *
     * @param list<string> $zones
     */
    private static function capital(string $country, array $zones): ?string
    {
        $zone = ['DE' => 'Europe/Berlin', 'NZ' => 'Pacific/Auckland'][$country] ?? '';

        return in_array($zone, $zones, true) ? $zone : null;
    }

    private static function ofNumber(string $e164): ?string
    {
        if ($e164 === '') {
            return null;
        }
        try {
            $zones = PhoneNumberToTimeZonesMapper::getInstance()->getTimeZonesForNumber(PhoneNumberUtil::getInstance()->parse($e164));
        } catch (NumberParseException) {
            return null;
        }
        $zone = $zones[0] ?? '';

        return in_array($zone, \DateTimeZone::listIdentifiers(), true) ? $zone : null;
    }
}
