<?php

declare(strict_types=1);

return [
    // Where several nodes share their sessions they share what they remember.
    'default' => env('CACHE_STORE', env('CRAG_REDIS_URL') ? 'redis' : 'file'),
    'stores' => [
        'array' => ['driver' => 'array', 'serialize' => false],
        'file' => [
            'driver' => 'file',
            'path' => env('CRAG_RUN', storage_path('run/default')).'/cache/data',
        ],
        'redis' => ['driver' => 'redis', 'connection' => 'default', 'lock_connection' => 'default'],
    ],
    'prefix' => 'crag',
];
