<?php

declare(strict_types=1);

namespace App\Http;

/** What is done to a view's text before it is compiled. */
final class ViewSource
{
    public static function prepared(string $view): string
    {
        return self::withIcons(self::withoutIndentation($view));
    }

    /**
     * `<x-icon name="pencil" />` is the icon itself: a desk has hundreds, and a component for each costs more than all
     * the rest of the page. A name can be worked out: `<x-icon :name="$icon" />`.
     */
    private static function withIcons(string $view): string
    {
        $icons = preg_replace_callback(
            '~<x-icon\s+name="([a-z0-9-]+)"\s*/>~',
            static fn (array $found): string => Icons::svg($found[1])."\n",
            $view,
        );

        return (string) preg_replace(
            '~<x-icon\s+:name="([^"]+)"\s*/>~',
            '{!! App\Http\Icons::svg($1) !!}'."\n",
            (string) $icons,
        );
    }

    /**
     * Lines are set in for those who write views; that was a seventh of what a student's page weighed. One space stays:
     * PHP takes away the end of a line that it ends on.
     */
    private static function withoutIndentation(string $view): string
    {
        return (string) preg_replace('~\n[ \t]+~', "\n ", $view);
    }
}
