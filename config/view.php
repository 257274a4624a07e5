<?php

declare(strict_types=1);

return [
    'paths' => [resource_path('views')],
    // Compiled ahead (deploy/command/Install/Setup.php), a view is not looked at again: a page has a hundred of them.
    'check_cache_timestamps' => env('VIEW_COMPILED_PATH') === null,
    'compiled' => env('VIEW_COMPILED_PATH', env('CRAG_RUN', storage_path('run/default')).'/cache/views'),
];
