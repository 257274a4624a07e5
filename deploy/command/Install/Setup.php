<?php

declare(strict_types=1);

namespace Deploy\Install;

use Closure;
use Deploy\Console;
use Deploy\Problem;
use Deploy\Shell;
use FilesystemIterator;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;

/** Brings a fresh clone to where it can run: what is there already is skipped. */
final class Setup
{
    /** Where compiled views are: half of one that is being written must never be read. */
    public const VIEWS = 'storage/setup/compiled';

    public static function root(): string
    {
        return dirname(__DIR__, 3);
    }

    /** @param  ?Closure(): void  $onceThereIsPhp  what needs nothing but PHP's packages, begun beside the rest */
    public static function complete(Needs $needs = Needs::Run, ?Closure $onceThereIsPhp = null): void
    {
        self::packages($needs);
        $missing = Requirements::missingPrograms();
        if ($missing !== []) {
            throw new Problem('Please install first: '.implode(', ', $missing).'.');
        }
        self::once(
            'composer',
            ['composer.json', 'core/composer.json'],
            'vendor/autoload.php',
            static function (): void {
                Console::step('Installing PHP packages (composer)');
                self::withoutStalePackages();
                Shell::run(
                    ['composer', 'install', '--no-interaction', '--no-progress', '--no-scripts', '--quiet'],
                    self::root(),
                    ['COMPOSER_ALLOW_SUPERUSER' => '1', 'XDEBUG_MODE' => 'off'],
                );
            },
        );
        if ($onceThereIsPhp !== null) {
            $onceThereIsPhp();
        }
        self::once(
            'views',
            ['resources/views', 'resources/icons', 'app/Http/Icons.php', 'app/Http/ViewSource.php', 'composer.json'],
            self::VIEWS,
            static function (): void {
                Console::step('Compiling the pages (blade)');
                $compiled = self::root().'/'.self::VIEWS;
                Shell::run([PHP_BINARY, 'artisan', 'view:cache'], self::root(), ['VIEW_COMPILED_PATH' => $compiled]);
            },
        );
        self::once('npm', ['package.json', 'package-lock.json'], 'node_modules/.bin/vite', static function (): void {
            Console::step('Installing browser packages (npm)');
            Shell::run(['npm', 'ci', '--no-audit', '--no-fund', '--ignore-scripts'], self::root());
        });
        self::once(
            'build',
            ['resources/ts', 'resources/scss', 'demo', 'vite.config.ts', 'package-lock.json'],
            'public/build/manifest.json',
            static function (): void {
                Console::step('Building the pages\' styles and scripts (vite)');
                Shell::run(['node_modules/.bin/vite', 'build'], self::root());
                Shell::run(['node_modules/.bin/vite', 'build', '--config', 'demo/vite.config.ts'], self::root());
            },
        );
    }

    /** composer.json pins exact versions, so a lock file left by another machine would only disagree. */
    private static function withoutStalePackages(): void
    {
        $lock = self::root().'/composer.lock';
        if (is_file($lock)) {
            unlink($lock);
        }
    }

    private static function packages(Needs $needs): void
    {
        $missing = Requirements::missingPackages($needs);
        if ($missing === []) {
            return;
        }
        $line = 'apt-get install -y --no-install-recommends '.implode(' ', $missing);
        $prefix = posix_geteuid() === 0 ? [] : ['sudo', '-n'];
        if ($prefix !== [] && ! self::maySudo()) {
            throw new Problem(
                "This machine lacks some packages, and installing them needs root. Please run this line, then start again:\n\n  sudo {$line}\n",
            );
        }
        Console::step('Installing Debian packages: '.implode(' ', $missing));
        Shell::run([...$prefix, 'apt-get', 'update', '-q'], self::root());
        Shell::run([...$prefix, 'env', 'DEBIAN_FRONTEND=noninteractive', ...explode(' ', $line)], self::root());
        $left = Requirements::missingPackages($needs);
        if ($left !== []) {
            throw new Problem(
                'These packages were installed but what they should bring is not there: '.implode(', ', $left).'.',
            );
        }
    }

    private static function maySudo(): bool
    {
        if (! Shell::has('sudo')) {
            return false;
        }
        exec('sudo -n true 2>/dev/null', result_code: $code);

        return $code === 0;
    }

    /**
     * Does a step unless its inputs are as they were when it was last done and what it makes is there.
     *
     * @param  list<string>  $inputs  files and folders
     */
    private static function once(string $step, array $inputs, string $makes, callable $do): void
    {
        $stamp = self::root()."/storage/setup/{$step}";
        $now = self::fingerprint($inputs, self::root());
        if (is_file($stamp) && file_get_contents($stamp) === $now && file_exists(self::root().'/'.$makes)) {
            return;
        }
        $do();
        if (! is_dir(dirname($stamp))) {
            mkdir(dirname($stamp), 0o755, true);
        }
        file_put_contents($stamp, $now);
    }

    /**
     * By names within the project: a folder that is moved is still the same.
     *
     * @param  list<string>  $inputs
     */
    public static function fingerprint(array $inputs, string $root): string
    {
        $hash = hash_init('sha256');
        foreach ($inputs as $input) {
            foreach (self::files("{$root}/{$input}") as $file) {
                hash_update($hash, substr($file, strlen($root))."\0".hash_file('sha256', $file)."\0");
            }
        }

        return hash_final($hash);
    }

    /** @return list<string> */
    private static function files(string $path): array
    {
        if (! is_dir($path)) {
            return is_file($path) ? [$path] : [];
        }
        $files = [];
        /** @var SplFileInfo $file */
        foreach (
            new RecursiveIteratorIterator(new RecursiveDirectoryIterator($path, FilesystemIterator::SKIP_DOTS)) as $file
        ) {
            $files[] = $file->getPathname();
        }
        sort($files);

        return $files;
    }
}
