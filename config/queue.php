<?php

declare(strict_types=1);

return [
    'default' => env('QUEUE_CONNECTION', 'database'),
    'connections' => [
        'sync' => ['driver' => 'sync'],
        // "jobs" are the shop's own here, so the queue has a table of another name.
        'database' => ['driver' => 'database', 'connection' => null, 'table' => 'queue_jobs', 'queue' => 'default', 'retry_after' => 180, 'after_commit' => true],
    ],
    'failed' => ['driver' => 'database-uuids', 'database' => 'pgsql', 'table' => 'failed_queue_jobs'],
];
