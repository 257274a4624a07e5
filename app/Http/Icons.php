<?php

declare(strict_types=1);

namespace App\Http;

/**
 * Our icons. Where a view names one, it is written into the compiled view: the desk has some two hundred, and a
 * component for each cost more than all the rest of the page.
 */
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

    /** A view's text with the icons that it names outright; one whose name is worked out is left to its component. */
    public static function inline(string $view): string
    {
        return (string) preg_replace_callback(
            '~<x-icon name="([a-z0-9-]+)"\s*/>~',
            static fn (array $found): string => self::svg($found[1]),
            $view,
        );
    }
}
