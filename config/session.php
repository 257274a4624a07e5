<?php

declare(strict_types=1);

return [
    // Small files: a row with every stroke would queue behind the strokes, and cookies would travel with each.
    // Several nodes have them in Redis.
    'driver' => env('SESSION_DRIVER', env('CRAG_REDIS_URL') ? 'redis' : 'file'),
    'connection' => 'default',
    'files' => env('CRAG_DATA', storage_path('data')).'/web-sessions',
    'lottery' => [1, 5000],
    'lifetime' => 60 * 24 * 7,
    'expire_on_close' => false,
    'encrypt' => false,
    'cookie' => 'crag_session',
    'path' => '/',
    'secure' => str_starts_with((string) env('CRAG_URL', ''), 'https://'),
    'http_only' => true,
    'same_site' => 'lax',
];
