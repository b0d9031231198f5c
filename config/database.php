<?php

declare(strict_types=1);

return [
    'default' => 'sqlite',
    'connections' => [
        'sqlite' => [
            'driver' => 'sqlite',
            'database' => env('DB_DATABASE', storage_path('almanac.sqlite')),
            'prefix' => '',
            'foreign_key_constraints' => true,
            /* Milliseconds to wait for somebody else’s save; after that the browser asks again by itself. */
            'busy_timeout' => (int) env('DB_BUSY_TIMEOUT', 5000),
            'journal_mode' => 'WAL',
            'synchronous' => 'NORMAL',
        ],
    ],
];
