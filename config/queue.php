<?php

declare(strict_types=1);

return [
    'default' => env('QUEUE_CONNECTION', env('CRAG_REDIS_URL') ? 'redis' : 'database'),
    'connections' => [
        'sync' => ['driver' => 'sync'],
        'database' => [
            'driver' => 'database',
            'table' => 'jobs',
            'queue' => 'default',
            'retry_after' => 900,
            'after_commit' => true,
        ],
        'redis' => [
            'driver' => 'redis',
            'connection' => 'default',
            'queue' => 'default',
            'retry_after' => 900,
            'block_for' => null,
            'after_commit' => true,
        ],
    ],
    'failed' => ['driver' => 'database-uuids', 'database' => null, 'table' => 'failed_jobs'],
];
