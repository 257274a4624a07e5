<?php

declare(strict_types=1);

return [
    'default' => env('CACHE_STORE', 'file'),
    'stores' => [
        'array' => ['driver' => 'array', 'serialize' => false],
        'file' => [
            'driver' => 'file',
            'path' => env('CRAG_RUN', storage_path('run/default')).'/cache/data',
        ],
    ],
    'prefix' => 'crag',
];
