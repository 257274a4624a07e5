<?php

declare(strict_types=1);

namespace App\Http;

/** Our icons. */
final class Icons
{
    /** @var array<string, string> */
    private static array $read = [];

    public static function svg(string $name): string
    {
        return self::$read[$name] ??= str_replace(
            '<svg ',
            '<svg aria-hidden="true" focusable="false" ',
            trim((string) file_get_contents(resource_path("icons/{$name}.svg"))),
        );
    }
}
