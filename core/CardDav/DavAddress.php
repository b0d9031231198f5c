<?php

declare(strict_types=1);

namespace Almanac\CardDav;

/**
 * The address of an address book elsewhere, and the place that it is at: scheme, host and port.
 *
 * Source: RFC 3986, 3 and 5.2 (addresses, and what they are relative to); RFC 6764, 5 and 6 (where such a book is found).
 */
final readonly class DavAddress
{
    /** RFC 6764, 5: where a server tells where its address books are. */
    private const WELL_KNOWN = '/.well-known/carddav';

    private const LONGEST = 2000;

    private function __construct(public string $place, public string $path)
    {
    }

    /**
     * @param string $typed an address, the name of a server, or an email there
     *
     * @throws DavRefused when it is none, or carries a name and password
     */
    public static function fromTyped(string $typed): self
    {
        $typed = trim($typed);
        // RFC 6764, 6: of an email, the domain.
        $typed = (string) preg_replace('#^[^\s@:/?\#]+@([^\s@:/?\#]+)$#', '$1', $typed);
        $typed = preg_match('#^[a-z][a-z0-9+.-]*://#i', $typed) === 1 ? $typed : "https://$typed";
        $parts = strlen($typed) > self::LONGEST || preg_match('/[\s\x00-\x1F\x7F\\\\]/', $typed) === 1 ? false : parse_url($typed);
        $scheme = strtolower((string) ($parts['scheme'] ?? ''));
        $host = strtolower((string) ($parts['host'] ?? ''));
        if (! is_array($parts) || ! in_array($scheme, ['https', 'http'], true) || ! self::isHost($host)) {
            throw DavRefused::notAnAddress();
        }
        if (isset($parts['user']) || isset($parts['pass'])) {
            throw DavRefused::hasPassword();
        }
        $usual = $scheme === 'https' ? 443 : 80;
        $port = $parts['port'] ?? $usual;
        $path = $parts['path'] ?? '/';

        return new self(
            "$scheme://$host".($port === $usual ? '' : ":$port"),
            $path.(isset($parts['query']) ? "?{$parts['query']}" : ''),
        );
    }

    /**
     * The places that an office allows, one on a line.
     *
     * @return list<string>
     *
     * @throws DavRefused when one of them is none
     */
    public static function places(string $typed): array
    {
        $lines = array_filter(array_map(trim(...), preg_split('/[\r\n]+/', $typed) ?: []), fn (string $line) => $line !== '');

        return array_values(array_unique(array_map(fn (string $line) => self::fromTyped($line)->place, $lines)));
    }

    /**
     * The same place, or another that is named in an answer, with its path.
     *
     * @throws DavRefused when it is no address
     */
    public function to(string $href): self
    {
        if (preg_match('#^[a-z][a-z0-9+.-]*://#i', $href) === 1) {
            return self::fromTyped($href);
        }
        if (str_starts_with($href, '//')) {
            return self::fromTyped(strstr($this->place, '//', true).$href);
        }
        $path = str_starts_with($href, '/') ? $href : (string) preg_replace('#[^/]*$#', '', strtok($this->path, '?') ?: '/').$href;

        return new self($this->place, $path);
    }

    public function wellKnown(): self
    {
        return new self($this->place, self::WELL_KNOWN);
    }

    /** The domain of which the DNS may name servers; empty where the place is a computer, a port of it, or not encrypted. */
    public function domain(): string
    {
        $host = str_starts_with($this->place, 'https://') ? substr($this->place, strlen('https://')) : '';

        return str_contains($host, '.') && preg_match('/[:\[]|\.\d+$/', $host) !== 1 ? $host : '';
    }

    public function isBare(): bool
    {
        return $this->path === '/' || $this->path === '';
    }

    public function toText(): string
    {
        return $this->place.$this->path;
    }

    private static function isHost(string $host): bool
    {
        return filter_var(trim($host, '[]'), FILTER_VALIDATE_IP) !== false
            || filter_var($host, FILTER_VALIDATE_DOMAIN, FILTER_FLAG_HOSTNAME) !== false;
    }
}
