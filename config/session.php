<?php

declare(strict_types=1);

return [
    // A page that is open all day writes no session row with every stroke.
    'driver' => 'cookie',
    'lifetime' => 60 * 24 * 7,
    'expire_on_close' => false,
    'encrypt' => false,
    'cookie' => 'crag_session',
    'path' => '/',
    'secure' => env('CRAG_HTTPS_ONLY', false),
    'http_only' => true,
    'same_site' => 'lax',
];
