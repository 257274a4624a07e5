<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Support\Facades\File;
use Illuminate\Support\HtmlString;

/**
 * A part of a page that is the same for a whole class: rendered once, and kept until the instance is started again.
 * What is somebody's own is put in each time. Nothing that depends on who asks may stand in such a view.
 */
final class SameForAll
{
    /**
     * @param  array<string, bool|string>  $data  the same for everyone
     * @param  array<string, string|HtmlString>  $own  values of the view that are not, by their names; one that is
     *     HTML already says so
     */
    public static function view(string $view, array $data, array $own): HtmlString
    {
        $places = array_map(static fn (string $name): string => "own-{$name}-here", array_keys($own));
        $html = self::kept(
            serialize([$view, $data, array_keys($own)]),
            static fn (): string => view($view, $data + array_combine(array_keys($own), $places))->render(),
        );

        // All in one go: what somebody wrote is not looked through for places again.
        return new HtmlString(strtr($html, array_combine($places, array_map(e(...), array_values($own)))));
    }

    /**
     * Sentences in the page's language.
     *
     * @param  callable(): array<string, string>  $make
     * @return array<string, string>
     */
    public static function words(string $whose, callable $make): array
    {
        $words = json_decode(self::kept("words {$whose}", static fn (): string => (string) json_encode($make())), true);

        return is_array($words) ? $words : $make();
    }

    /** @param  callable(): string  $make */
    private static function kept(string $what, callable $make): string
    {
        $file = self::folder().'/'.md5($what.app()->getLocale().serialize(config('crag')));
        $text = @file_get_contents($file);
        if ($text === false) {
            $text = $make();
            // Several come first, and one of them makes it.
            is_dir(self::folder()) || @mkdir(self::folder(), 0o700, true);
            // Whole or not at all, whoever else does the same.
            File::replace($file, $text);
        }

        return $text;
    }

    /** Another release may have other words. */
    public static function forget(): void
    {
        File::deleteDirectory(self::folder());
    }

    private static function folder(): string
    {
        return config()->string('crag.run').'/cache/parts';
    }
}
