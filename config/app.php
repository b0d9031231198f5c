<?php

declare(strict_types=1);

return [
    'name' => 'Neat Almanac',
    /* The address that is handed out, in calendar feeds for instance; whatever a request calls its host. */
    'url' => env('APP_URL', 'http://127.0.0.1:8400'),
    'env' => env('APP_ENV', 'production'),
    'debug' => (bool) env('APP_DEBUG', false),
    /* In which moments are kept; the office's own zone is a setting of the office. */
    'timezone' => 'UTC',
];
