<?php

declare(strict_types=1);

namespace Almanac\Reach;

/** A web address: an http or https URL (RFC 3986) with a host name. */
final readonly class WebAddress
{
    private const MAX_LENGTH = 500;

    private function __construct(public string $typed, public string $url)
    {
    }

    /** @throws ReachRefused when the text is empty, too long, or no web address */
    public static function fromTyped(string $typed): self
    {
        $typed = trim($typed);
        if ($typed === '') {
            throw ReachRefused::empty(ContactKind::Website);
        }
        if (mb_strlen($typed) > self::MAX_LENGTH) {
            throw ReachRefused::tooLong(ContactKind::Website, self::MAX_LENGTH);
        }
        $url = preg_match('~^[a-z][a-z0-9+.-]*:~i', $typed) === 1 && ! preg_match('~^[^/:]+:\d+~', $typed)
            ? $typed
            : 'https://'.$typed;
        $parts = parse_url($url);
        $host = is_array($parts) ? ($parts['host'] ?? '') : '';
        $scheme = is_array($parts) ? strtolower($parts['scheme'] ?? '') : '';
        $isName = preg_match('/^(?:[\p{L}\p{N}](?:[\p{L}\p{N}-]*[\p{L}\p{N}])?\.)+\p{L}[\p{L}\p{N}-]+$/u', $host) === 1;
        if (! in_array($scheme, ['http', 'https'], true) || ! $isName || preg_match('/\s/', $url) === 1) {
            throw ReachRefused::notAWebsite($typed);
        }

        return new self($typed, $url);
    }

    /** For reading: without the scheme and a bare slash at the end. */
    public function display(): string
    {
        return rtrim(preg_replace('~^https?://~i', '', $this->url) ?? $this->url, '/');
    }
}
