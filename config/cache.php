<?php

declare(strict_types=1);

return [
    // Where several nodes share their sessions they share what they remember.
    'default' => env('CACHE_STORE', env('CRAG_REDIS_URL') ? 'redis' : 'file'),
    // How often somebody tried is counted where counting costs next to nothing.
    'limiter' => env('CACHE_STORE', env('CRAG_REDIS_URL') ? 'redis' : 'counts'),
    'stores' => [
        'array' => ['driver' => 'array', 'serialize' => false],
        'file' => [
            'driver' => 'file',
            'path' => env('CRAG_RUN', storage_path('run/default')).'/cache/data',
        ],
        'counts' => [
            'driver' => 'file',
            'path' => env('CRAG_COUNTS', env('CRAG_RUN', storage_path('run/default')).'/cache/data'),
        ],
        'redis' => ['driver' => 'redis', 'connection' => 'default', 'lock_connection' => 'default'],
    ],
    'prefix' => 'crag',
];
