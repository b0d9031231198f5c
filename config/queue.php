<?php

declare(strict_types=1);

return [
    'default' => env('QUEUE_CONNECTION', 'database'),

    'connections' => [
        'sync' => ['driver' => 'sync', 'after_commit' => true],
        // One worker, started and watched with the server: what it had begun when it died it begins again.
        'database' => [
            'driver' => 'database',
            'connection' => null,
            'table' => 'queued_work',
            'queue' => 'default',
            'retry_after' => 86400,
            // In the transaction of its cause: work is never lost between the two.
            'after_commit' => false,
        ],
    ],

    // Kept until an administrator retries or dismisses them.
    'failed' => ['driver' => 'database-uuids', 'database' => 'sqlite', 'table' => 'failed_jobs'],
];
