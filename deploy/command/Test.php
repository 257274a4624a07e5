<?php

declare(strict_types=1);

namespace Deploy;

use Deploy\Browser\Engine;
use Deploy\Install\Needs;
use Deploy\Install\Setup;
use Deploy\Shared\Postgres;

/** Static checks and every test, or one part of them. Each part's runner prints its own closing lines. */
final class Test
{
    private const PARTS = ['core', 'app', 'browser'];

    private const SCRIPTS = ['--config', 'tests/ts/vite.config.ts'];

    /** Test classes at a time: one row of browsers keeps more than a core busy. */
    private const ROWS = 2;

    public function run(Options $options): int
    {
        $wanted = $options->words === [] ? self::PARTS : $options->words;
        foreach ($wanted as $part) {
            if (! in_array($part, self::PARTS, true) && $wanted !== ['engines']) {
                throw new Problem(
                    "There is no part \"{$part}\"; there are core, app and browser, and engines alone.",
                );
            }
        }
        $core = null;
        if ($wanted === ['engines']) {
            return $this->engines();
        }
        if ($options->text('database', 'sqlite') !== 'sqlite') {
            return $this->onServer($options->text('database', ''), $wanted);
        }
        $needs = in_array('browser', $wanted, true) ? Needs::Tests : Needs::Run;
        Setup::complete($needs, function () use ($wanted, &$core): void {
            $core = in_array('core', $wanted, true)
                ? Beside::start(['../vendor/bin/phpunit'], Setup::root().'/core')
                : null;
        });
        $failed = [];
        // What only reads the code goes on beside the first tests.
        $beside = array_map(
            static fn (array $command): Beside => Beside::start($command, Setup::root()),
            $this->checks($wanted),
        );
        // @phpstan-ignore notIdentical.alwaysFalse (the set-up begins them)
        if ($core !== null && ! $this->came('Tests of the core', $core)) {
            $failed[] = 'Tests of the core';
        }
        $failed = [...$failed, ...$this->shown($this->tests($wanted))];
        foreach ($beside as $name => $check) {
            if (! $this->came($name, $check)) {
                $failed[] = $name;
            }
        }
        if ($wanted === self::PARTS && ! $this->wentOnServer()) {
            $failed[] = 'Tests of the application on PostgreSQL';
        }
        if (in_array('browser', $wanted, true)) {
            $failed = [...$failed, ...$this->inBrowsers()];
        }
        Console::say($failed === [] ? 'All of it holds.' : 'Failed: '.implode(', ', $failed).'.');

        return $failed === [] ? 0 : 1;
    }

    /**
     * The application's tests on the database that several machines share.
     *
     * @param  list<string>  $parts
     */
    private function onServer(string $database, array $parts): int
    {
        if ($database !== 'pgsql' || $parts !== ['app']) {
            throw new Problem('Another database is for the tests of the application: ./crag test app --database=pgsql');
        }
        Setup::complete(Needs::District);
        $went = $this->shown($this->built()) === [] && $this->wentOnServer();
        Console::say($went ? 'All of it holds.' : 'Failed: Tests of the application on PostgreSQL.');

        return $went ? 0 : 1;
    }

    private function wentOnServer(): bool
    {
        $server = (new Postgres())->start();
        try {
            // A database for each process.
            $server->make(...array_map(static fn (int $n): string => "crag_{$n}", range(1, self::ROWS)));
            Console::step('Tests of the application on PostgreSQL');

            return Shell::show(
                self::suite('app', measured: 'app-pgsql'),
                Setup::root(),
                ['XDEBUG_MODE' => 'off', 'CRAG_TEST_SERVER' => $server->address()],
            ) === 0;
        } finally {
            $server->stop();
        }
    }

    /** @return list<string> what failed */
    private function inBrowsers(): array
    {
        $suites = 'browser-long,browser';
        $junit = Setup::root().'/storage/run/measured/tests-browser.xml';
        if (is_file($junit)) {
            unlink($junit);
        }
        $failed = $this->shown(['Tests in the browser' => self::suite('browser', $suites)]);

        return $failed !== [] && SecondTry::passes($suites, $junit) ? [] : $failed;
    }

    /** The main path by hand in the engines that the ordinary run leaves out: what students bring. */
    private function engines(): int
    {
        Setup::complete(Needs::Engines);
        $failed = [];
        foreach (Engine::OTHERS as $engine) {
            Console::step("The main path in {$engine}");
            $command = ['vendor/bin/phpunit', '--testsuite', 'engines'];
            if (Shell::show($command, Setup::root(), ['XDEBUG_MODE' => 'off', 'CRAG_ENGINE' => $engine]) !== 0) {
                $failed[] = $engine;
            }
        }
        Console::say($failed === [] ? 'All of it holds.' : 'Failed: '.implode(', ', $failed).'.');

        return $failed === [] ? 0 : 1;
    }

    /** Waits for what runs beside. Whether it went well. */
    private function came(string $name, Beside $beside): bool
    {
        Console::step($name);

        return $beside->finish() === 0;
    }

    /**
     * @param  array<string, list<string>>  $steps
     * @return list<string> those that failed
     */
    private function shown(array $steps): array
    {
        $failed = [];
        foreach ($steps as $name => $command) {
            Console::step($name);
            if (Shell::show($command, Setup::root(), ['XDEBUG_MODE' => 'off']) !== 0) {
                $failed[] = $name;
            }
        }

        return $failed;
    }

    /**
     * @param  list<string>  $parts
     * @return array<string, list<string>> commands that change nothing and need nothing of each other
     */
    private function checks(array $parts): array
    {
        $phpstan = ['vendor/bin/phpstan', 'analyse', '--no-progress', '--memory-limit=1G', '-c'];

        return (in_array('core', $parts, true)
            ? ['Static checks of the core (phpstan)' => [...$phpstan, 'core/phpstan.neon']]
            : []) +
            (in_array('app', $parts, true)
                ? [
                    'Static checks of the application (phpstan)' => [...$phpstan, 'phpstan.neon'],
                    'Types of the scripts (tsc)' => ['node_modules/.bin/tsc', '--noEmit'],
                    'Types of the worker (tsc)' => ['node_modules/.bin/tsc', '--noEmit', '-p', 'resources/ts/worker'],
                ] + self::style(false)
                : []);
    }

    /** @return array<string, list<string>> what looks after the style of everything, or puts right what it can */
    public static function style(bool $fix): array
    {
        $php = ['vendor/bin/pint', '-q', ...$fix ? [] : ['--test']];
        $formatted = ['resources/ts', 'resources/scss', 'tests/ts', 'demo', '*.js', '*.ts'];

        return [
            ...$fix ? ['Names of the scripts’ sentences' => [PHP_BINARY, 'artisan', 'crag:words']] : [],
            ...$fix ? ['Rules of manipulatives' => [PHP_BINARY, 'artisan', 'crag:rules']] : [],
            'Style of the scripts (eslint)' => ['node_modules/.bin/eslint', '.', ...$fix ? ['--fix'] : []],
            'Style of the styles (stylelint)' => [
                'node_modules/.bin/stylelint',
                'resources/scss/**/*.scss',
                ...$fix ? ['--fix'] : [],
            ],
            'Form of scripts and styles (prettier)' => [
                'node_modules/.bin/prettier',
                '--log-level',
                'warn',
                $fix ? '--write' : '--check',
                ...$formatted,
            ],
            'Style of PHP (pint)' => $php,
            'Arrows between the scripts (dependency-cruiser)' => ['node_modules/.bin/depcruise', 'resources/ts'],
        ];
    }

    /**
     * @param  list<string>  $parts
     * @return array<string, list<string>> what runs before the browsers do
     */
    private function tests(array $parts): array
    {
        return in_array('app', $parts, true)
            ? [
                ...$this->built(),
                'Tests of the scripts' => ['node_modules/.bin/vitest', 'run', ...self::SCRIPTS],
                'Tests of the application' => self::suite('app'),
            ]
            : [];
    }

    /** @return array<string, list<string>> */
    private function built(): array
    {
        $vite = ['node_modules/.bin/vite', 'build', ...self::SCRIPTS, '--logLevel', 'warn'];

        return ['Building what the scripts\' tests share with the application' => $vite];
    }

    /**
     * A suite on both cores; how long each test took is kept in storage/run/measured/.
     *
     * @return list<string>
     */
    private static function suite(string $name, ?string $suites = null, ?string $measured = null): array
    {
        Folder::make(Setup::root().'/storage/run/measured');
        $junit = 'storage/run/measured/tests-'.($measured ?? $name).'.xml';

        return ['vendor/bin/paratest', '-p', (string) self::ROWS, '--testsuite', $suites ?? $name, '--log-junit', $junit];
    }
}
