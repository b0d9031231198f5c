<?php

declare(strict_types=1);

return [
    'driver' => env('SESSION_DRIVER', 'file'),
    'lifetime' => (int) env('SESSION_LIFETIME', 240),
    'cookie' => 'neat_almanac',
    // Never sent in the clear where the office's address is an encrypted one.
    'secure' => str_starts_with((string) env('APP_URL', ''), 'https://'),
    'http_only' => true,
    'same_site' => 'lax',
];
