<?php

declare(strict_types=1);

return [
    'default' => 'daily',
    'channels' => [
        // A file a day, of which two weeks are kept.
        'daily' => ['driver' => 'daily', 'path' => storage_path('logs/laravel.log'), 'level' => 'debug', 'days' => 14, 'permission' => 0600],
        'null' => ['driver' => 'monolog', 'handler' => Monolog\Handler\NullHandler::class],
    ],
];
