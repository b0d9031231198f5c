<?php

declare(strict_types=1);

namespace App\Models\Values;

/** By which the same secret is known again without being read: it tells nothing without the key of the installation. */
final class Fingerprint
{
    public static function of(#[\SensitiveParameter] string $secret): string
    {
        $key = config('app.key');

        return hash_hmac('sha256', $secret, is_string($key) ? $key : '');
    }
}
