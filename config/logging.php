<?php

declare(strict_types=1);

return [
    'default' => 'single',
    'channels' => [
        'single' => [
            'driver' => 'single',
            'path' => env('CRAG_RUN', storage_path('run/default')).'/crag.log',
            'level' => env('LOG_LEVEL', 'info'),
            // A line for each, which `crag` hands on (CRAG_LOG).
            ...env('CRAG_LOG') === 'json' ? ['formatter' => Monolog\Formatter\JsonFormatter::class] : [],
            'tap' => [App\Log\Discreet::class],
        ],
        // The framework writes mails at the level "debug". They hold links that open accounts.
        'mails' => [
            'driver' => 'single',
            'path' => env('CRAG_DATA', storage_path('data')).'/mails.log',
            'level' => 'debug',
            'permission' => 0600,
        ],
        'null' => ['driver' => 'monolog', 'handler' => Monolog\Handler\NullHandler::class],
    ],
];
