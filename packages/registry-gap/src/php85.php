<?php

declare(strict_types=1);

// PHP 8.5's two array functions, for the framework code that expects their polyfill.

if (! function_exists('array_first')) {
    /** @param array<array-key, mixed> $array */
    function array_first(array $array): mixed
    {
        return $array === [] ? null : $array[array_key_first($array)];
    }
}

if (! function_exists('array_last')) {
    /** @param array<array-key, mixed> $array */
    function array_last(array $array): mixed
    {
        return $array === [] ? null : $array[array_key_last($array)];
    }
}
