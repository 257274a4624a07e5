<?php

declare(strict_types=1);

namespace App\Live;

use Illuminate\Support\Facades\URL;

/** The address under which this installation is reached: as it was set, never as a request calls it. */
final class PublicAddress
{
    /** @param  array<string, mixed>  $parameters */
    public static function of(string $route, array $parameters = []): string
    {
        return self::root().route($route, $parameters, false);
    }

    public static function root(): string
    {
        return config()->string('crag.url') ?: rtrim(config()->string('app.url'), '/');
    }

    /**
     * Links in pages are under it too, where one is set; without one they are under the name by which the page was
     * asked for.
     */
    public static function inLinks(): void
    {
        $public = config()->string('crag.url');
        if ($public !== '') {
            URL::useOrigin($public);
            URL::forceScheme((string) parse_url($public, PHP_URL_SCHEME));
        }
    }
}
