<?php

declare(strict_types=1);

return [
    'cache' => [
        'expiration_time' => DateInterval::createFromDateString('24 hours'),
        'key' => 'spatie.permission.cache',
        // Read afresh for each request, so that a restored or reseeded database is never met with old roles.
        'store' => 'array',
    ],
];
