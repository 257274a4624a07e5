<?php

declare(strict_types=1);

namespace Deploy;

use Deploy\Browser\Engine;
use Deploy\Install\Needs;
use Deploy\Install\Setup;

/** Static checks and every test, or one part of them. Each part's runner prints its own closing lines. */
final class Test
{
    private const PARTS = ['core', 'app', 'browser'];

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
        $steps = $this->tests($wanted);
        $room = null;
        foreach ($steps as $name => [$command, $folder]) {
            // The application's tests keep one core busy: half of those in the browser begin beside them.
            if ($name === array_key_last($steps)) {
                $room = $this->room($wanted);
            }
            if (! $this->show($name, $command, $folder)) {
                $failed[] = $name;
            }
        }
        foreach ($beside as $name => $check) {
            if (! $this->came($name, $check)) {
                $failed[] = $name;
            }
        }
        $room ??= $this->room($wanted);
        if ($room !== null) {
            if (! $this->show('Tests in the browser', ['vendor/bin/phpunit', '--testsuite', 'browser'], '')) {
                $failed[] = 'Tests in the browser';
            }
            $name = 'Tests of a class, plans, reach and the room in the browser';
            if (! $this->came($name, $room)) {
                $failed[] = $name;
            }
        }
        Console::say($failed === [] ? 'All of it holds.' : 'Failed: '.implode(', ', $failed).'.');

        return $failed === [] ? 0 : 1;
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

    /** @param  list<string>  $wanted */
    private function room(array $wanted): ?Beside
    {
        return in_array('browser', $wanted, true)
            ? Beside::start(['vendor/bin/phpunit', '--testsuite', 'browser-room'], Setup::root())
            : null;
    }

    /** Waits for what runs beside. Whether it went well. */
    private function came(string $name, Beside $beside): bool
    {
        Console::step($name);

        return $beside->finish() === 0;
    }

    /** @param  list<string>  $command */
    private function show(string $name, array $command, string $folder): bool
    {
        Console::step($name);

        return Shell::show($command, Setup::root().$folder, ['XDEBUG_MODE' => 'off']) === 0;
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
     * @return array<string, array{list<string>, string}> a command, and the folder to run it in
     */
    private function tests(array $parts): array
    {
        $steps = [];
        if (in_array('app', $parts, true)) {
            $config = ['--config', 'tests/ts/vite.config.ts'];
            $steps['Building what the scripts\' tests share with the application'] = [
                ['node_modules/.bin/vite', 'build', ...$config, '--logLevel', 'warn'],
                '',
            ];
            $steps['Tests of the scripts'] = [['node_modules/.bin/vitest', 'run', ...$config], ''];
            $steps['Tests of the application'] = [['vendor/bin/phpunit', '--testsuite', 'app'], ''];
        }

        return $steps;
    }
}
