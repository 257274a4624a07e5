<?php

declare(strict_types=1);

use Illuminate\Broadcasting\BroadcastServiceProvider;
use Illuminate\Concurrency\ConcurrencyServiceProvider;
use Illuminate\Notifications\NotificationServiceProvider;
use Illuminate\Pagination\PaginationServiceProvider;
use Illuminate\Redis\RedisServiceProvider;
use Illuminate\Support\ServiceProvider;

return [
    'name' => 'Crag',
    'env' => env('APP_ENV', 'production'),
    'debug' => (bool) env('APP_DEBUG', false),
    'url' => env('APP_URL', 'http://localhost'),
    // What is stored; what is shown is in the school's zone (config/crag.php).
    'timezone' => 'UTC',
    'locale' => env('APP_LOCALE', 'en'),
    'fallback_locale' => 'en',
    'key' => env('APP_KEY'),
    // Each costs every stroke that is posted: what nothing here uses is left out.
    'providers' => ServiceProvider::defaultProviders()
        ->except([
            BroadcastServiceProvider::class,
            ConcurrencyServiceProvider::class,
            NotificationServiceProvider::class,
            PaginationServiceProvider::class,
            ...env('CRAG_REDIS_URL') ? [] : [RedisServiceProvider::class],
        ])
        ->toArray(),
];
