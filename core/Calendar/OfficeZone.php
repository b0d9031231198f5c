<?php

declare(strict_types=1);

namespace Almanac\Calendar;

use Almanac\Reach\LocalTime;

/** The time zone in which an office's day begins and ends. */
final class OfficeZone
{
    /** Of countries with several, the one that most of their offices live by; from memory of the IANA time zone database. */
    private const COUNTRIES = [
        'AR' => 'America/Argentina/Buenos_Aires',
        'AU' => 'Australia/Sydney',
        'BR' => 'America/Sao_Paulo',
        'CA' => 'America/Toronto',
        'CL' => 'America/Santiago',
        'CN' => 'Asia/Shanghai',
        'EC' => 'America/Guayaquil',
        'ES' => 'Europe/Madrid',
        'ID' => 'Asia/Jakarta',
        'KZ' => 'Asia/Almaty',
        'MX' => 'America/Mexico_City',
        'MY' => 'Asia/Kuala_Lumpur',
        'NZ' => 'Pacific/Auckland',
        'PT' => 'Europe/Lisbon',
        'RU' => 'Europe/Moscow',
        'UA' => 'Europe/Kyiv',
        'US' => 'America/New_York',
    ];

    /**
     * @param string $chosen a name of the IANA database; empty for that of the address
     * @param string $country ISO 3166-1 alpha-2
     */
    public static function of(string $chosen, string $country, string $region): \DateTimeZone
    {
        $names = \DateTimeZone::listIdentifiers();
        foreach (
            [
                $chosen,
                LocalTime::zoneAt($country, $region),
                self::COUNTRIES[$country] ?? '',
                \DateTimeZone::listIdentifiers(\DateTimeZone::PER_COUNTRY, $country)[0] ?? '',
            ] as $name
        ) {
            if (in_array($name, $names, true)) {
                return new \DateTimeZone($name);
            }
        }

        return new \DateTimeZone('UTC');
    }
}
