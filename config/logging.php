<?php

declare(strict_types=1);

return [
    'default' => 'single',
    'channels' => [
        'single' => [
            'driver' => 'single',
            'path' => env('CRAG_RUN', storage_path('run/default')).'/crag.log',
            'level' => env('LOG_LEVEL', 'info'),
        ],
        'null' => ['driver' => 'monolog', 'handler' => Monolog\Handler\NullHandler::class],
    ],
];
