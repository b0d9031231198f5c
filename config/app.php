<?php

declare(strict_types=1);

return [
    'name' => 'Neat Almanac',
    'env' => env('APP_ENV', 'production'),
    'debug' => (bool) env('APP_DEBUG', false),
    'timezone' => env('APP_TIMEZONE', 'UTC'),
];
