<?php

declare(strict_types=1);

return [
    'name' => 'Neat Almanac',
    'env' => env('APP_ENV', 'production'),
    'debug' => (bool) env('APP_DEBUG', false),
    /* In which moments are kept; the office's own zone is a setting of the office. */
    'timezone' => 'UTC',
];
