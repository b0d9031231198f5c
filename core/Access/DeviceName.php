<?php

declare(strict_types=1);

namespace Almanac\Access;

/**
 * Browser and system from a User-Agent (RFC 9110, 10.1.5). What browsers write into it is common practice, no published
 * source; the first that fits counts, since most name others besides themselves.
 */
final class DeviceName
{
    private const BROWSERS = ['Firefox/' => 'Firefox', 'Edg/' => 'Edge', 'Chrome/' => 'Chrome', 'Safari/' => 'Safari'];

    private const SYSTEMS = [
        'Android' => 'Android', 'iPhone' => 'iOS', 'iPad' => 'iOS', 'Windows' => 'Windows', 'Mac OS X' => 'macOS', 'Linux' => 'Linux',
    ];

    /** As in "Firefox on Windows"; "Another browser" for what is not known. */
    public static function of(string $agent): string
    {
        $browser = self::first(self::BROWSERS, $agent) ?? 'Another browser';
        $system = self::first(self::SYSTEMS, $agent);

        return $system === null ? $browser : "$browser on $system";
    }

    /** @param  array<string, string>  $names */
    private static function first(array $names, string $agent): ?string
    {
        foreach ($names as $sign => $name) {
            if (str_contains($agent, $sign)) {
                return $name;
            }
        }

        return null;
    }
}
