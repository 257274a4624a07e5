<?php

declare(strict_types=1);

return [
    // One file on this machine; or the server that several machines share: docs/operating.md.
    'default' => env('CRAG_DATABASE_URL') ? 'pgsql' : 'sqlite',
    'connections' => [
        'sqlite' => [
            'driver' => 'sqlite',
            'database' => env('DB_DATABASE', storage_path('data/crag.sqlite')),
            'prefix' => '',
            'foreign_key_constraints' => true,
            'busy_timeout' => 10000,
            'journal_mode' => 'WAL',
            'synchronous' => 'FULL',
            // What is deleted is written over.
            'pragmas' => ['secure_delete' => 'on'],
        ],
        'pgsql' => [
            'driver' => 'pgsql',
            'url' => env('CRAG_DATABASE_URL'),
            'charset' => 'utf8',
            'prefix' => '',
            'search_path' => 'public',
            'timezone' => 'UTC',
            'lock_timeout' => 10000,
        ],
    ],
    'redis' => [
        'client' => 'phpredis',
        'options' => ['prefix' => 'crag:'],
        'default' => ['url' => env('CRAG_REDIS_URL')],
    ],
    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => false],
];
