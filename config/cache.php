<?php

declare(strict_types=1);

// What is worked out once is kept in the database, for every machine; how often somebody asked is counted on each by itself.
return [
    'default' => env('CACHE_STORE', 'database'),
    'limiter' => env('CACHE_LIMITER', 'file'),
    'stores' => [
        'array' => ['driver' => 'array', 'serialize' => false],
        'database' => ['driver' => 'database', 'table' => 'cache', 'connection' => null, 'lock_table' => 'cache_locks'],
        'file' => ['driver' => 'file', 'path' => storage_path('framework/cache/data')],
        'apc' => ['driver' => 'apc'],
    ],
    'prefix' => env('CACHE_PREFIX', 'bead-'),
];
