<?php

declare(strict_types=1);

namespace App\Outside;

/** Addresses of this installation that are handed out; the host that a request names is not believed in them. */
final class OwnAddress
{
    public static function of(string $path): string
    {
        $url = config('app.url');

        return rtrim(is_string($url) ? $url : '', '/').$path;
    }

    public static function host(): string
    {
        return (string) parse_url(self::of('/'), PHP_URL_HOST);
    }
}
