<?php

declare(strict_types=1);

// The core stands alone: nothing but its own classes is loaded.
spl_autoload_register(static function (string $class): void {
    foreach (['Crag\\Tests\\' => __DIR__, 'Crag\\' => __DIR__.'/../src'] as $prefix => $folder) {
        if (str_starts_with($class, $prefix)) {
            $file = $folder.'/'.str_replace('\\', '/', substr($class, strlen($prefix))).'.php';
            if (is_file($file)) {
                require $file;

                return;
            }
        }
    }
});
