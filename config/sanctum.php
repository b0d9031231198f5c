<?php

declare(strict_types=1);

use Laravel\Sanctum\Sanctum;

return [
    // The application and its pages share one host, whatever its name is.
    'stateful' => explode(',', ltrim(Sanctum::currentRequestHost(), ',')),
    'guard' => ['web'],
    'expiration' => null,
    // AppServiceProvider keeps it, once an hour.
    'last_used_at' => false,
    'token_prefix' => 'almanac_',
];
