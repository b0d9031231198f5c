<?php

declare(strict_types=1);

namespace Almanac\CardDav;

/**
 * Where the address book of a domain is, by what the DNS says of it.
 *
 * Source: RFC 6764, 3, 4 and 6 (the service carddavs, and the path in a TXT record); RFC 2782 (which server is asked first);
 * RFC 6763, 6.4 (the key before the first equals sign, in any case).
 */
final class NamedServers
{
    private const SERVICE = '_carddavs._tcp.';

    /** Under which name the DNS has them. */
    public static function nameOf(string $domain): string
    {
        return self::SERVICE.$domain;
    }

    /**
     * The one that is to be asked first, with its path where that is said. Of several that are as good the one with the most
     * weight: whoever asks once need not spread what it asks.
     *
     * @param list<array{target: string, port: int, priority: int, weight: int}> $servers
     * @param list<string> $texts
     *
     * @return DavAddress|null null where none is named, or it is said that there is none
     */
    public static function first(array $servers, array $texts): ?DavAddress
    {
        usort($servers, fn (array $one, array $other) => [$one['priority'], -$one['weight']] <=> [$other['priority'], -$other['weight']]);
        $host = rtrim($servers[0]['target'] ?? '', '.');
        if ($host === '') {
            return null;
        }
        $paths = array_filter($texts, fn (string $text) => strncasecmp($text, 'path=', 5) === 0);
        try {
            $address = DavAddress::fromTyped("https://$host:{$servers[0]['port']}/");

            return $paths === [] ? $address : $address->to('/'.ltrim(substr(reset($paths), 5), '/'));
        } catch (DavRefused) {
            return null;
        }
    }
}
