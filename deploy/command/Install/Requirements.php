<?php

declare(strict_types=1);

namespace Deploy\Install;

use Deploy\Setting;
use Deploy\Shell;

/** What the machine must have: Debian packages, each known by a file or an extension that it brings. */
final class Requirements
{
    /** Package => a file that shows it is there. */
    private const RUN = [
        'php8.2-sqlite3' => '/usr/lib/php/20220829/pdo_sqlite.so',
        'php8.2-fpm' => '/usr/sbin/php-fpm8.2',
        'php8.2-gd' => '/usr/lib/php/20220829/gd.so',
        'php8.2-curl' => '/usr/lib/php/20220829/curl.so',
        'php8.2-zip' => '/usr/lib/php/20220829/zip.so',
        'php8.2-bcmath' => '/usr/lib/php/20220829/bcmath.so',
        'php8.2-mbstring' => '/usr/lib/php/20220829/mbstring.so',
        'php8.2-intl' => '/usr/lib/php/20220829/intl.so',
        'php8.2-xml' => '/usr/lib/php/20220829/dom.so',
        'nginx' => '/usr/sbin/nginx',
        'libnginx-mod-nchan' => '/usr/lib/nginx/modules/ngx_nchan_module.so',
        // The gate before the sockets: deploy/nginx/gate.js.
        'libnginx-mod-stream' => '/usr/lib/nginx/modules/ngx_stream_module.so',
        'libnginx-mod-stream-js' => '/usr/lib/nginx/modules/ngx_stream_js_module.so',
        'librsvg2-bin' => '/usr/bin/rsvg-convert',
        'poppler-utils' => '/usr/bin/pdftoppm',
        'fontconfig' => '/usr/bin/fc-match',
        'fonts-dejavu-core' => '/usr/share/fonts/truetype/dejavu/DejaVuSans.ttf',
        // Names in any script, and with an emoji, on the class screen and in PDFs.
        'fonts-noto-core' => '/usr/share/fonts/truetype/noto/NotoSans-Regular.ttf',
        'fonts-noto-cjk' => '/usr/share/fonts/opentype/noto/NotoSansCJK-Regular.ttc',
        'fonts-noto-color-emoji' => '/usr/share/fonts/truetype/noto/NotoColorEmoji.ttf',
        'sqlite3' => '/usr/bin/sqlite3',
    ];

    /** Itself, not the script around it, which leaves it running when the driver ends it. */
    public const BROWSER_PROGRAM = '/usr/lib/chromium/chromium-headless-shell';

    private const TESTS = [
        // The browser without a window: half the work of the whole one, which the driver brings along.
        'chromium-headless-shell' => self::BROWSER_PROGRAM,
        'chromium-driver' => '/usr/bin/chromedriver',
        // Opens the spreadsheets, to see that another program reads what was written.
        'libreoffice-calc-nogui' => '/usr/bin/soffice',
        // A TURN server, through which two browsers talk.
        'coturn' => '/usr/bin/turnserver',
    ];

    /** For several machines: docs/operating.md. */
    private const DISTRICT = [
        'php8.2-pgsql' => '/usr/lib/php/20220829/pdo_pgsql.so',
        'php8.2-redis' => '/usr/lib/php/20220829/redis.so',
        'postgresql-client' => '/usr/bin/pg_dump',
    ];

    /** The servers that several machines share, where they run on this one: in tests and benches. */
    private const SHARED = [
        'postgresql' => '/usr/lib/postgresql/15/bin/postgres',
        'redis-server' => '/usr/bin/redis-server',
        'haproxy' => '/usr/sbin/haproxy',
    ];

    /** For `./crag test engines` alone. */
    private const ENGINES = [
        'firefox-esr' => '/usr/bin/firefox-esr',
        'webkit2gtk-driver' => '/usr/bin/WebKitWebDriver',
        'xvfb' => '/usr/bin/Xvfb',
    ];

    private const PROGRAMS = [
        'composer' => 'Composer 2 (Debian: composer)',
        'node' => 'Node.js 20 or newer (Debian: nodejs)',
        'npm' => 'npm 10 or newer (Debian: npm)',
    ];

    /** @return list<string> Debian packages that are not there */
    public static function missingPackages(Needs $needs): array
    {
        $wanted = self::RUN +
            ($needs->value >= Needs::Node->value || Setting::isDistrict() ? self::DISTRICT : []) +
            ($needs->value >= Needs::District->value ? self::SHARED : []) +
            ($needs->value >= Needs::Tests->value ? self::TESTS : []) +
            ($needs->value >= Needs::Engines->value ? self::ENGINES : []);

        return array_keys(array_filter($wanted, static fn (string $file): bool => ! file_exists($file)));
    }

    /** @return list<string> programs that are not there, in words */
    public static function missingPrograms(): array
    {
        return array_values(
            array_filter(
                self::PROGRAMS,
                static fn (string $program): bool => ! Shell::has($program),
                ARRAY_FILTER_USE_KEY,
            ),
        );
    }
}
