<?php

declare(strict_types=1);

return [
    'paths' => [resource_path('views')],
    'compiled' => env('VIEW_COMPILED_PATH', env('CRAG_RUN', storage_path('run/default')).'/cache/views'),
];
