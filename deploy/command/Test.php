<?php

declare(strict_types=1);

namespace Deploy;

/** Static checks and every test, or one part of them. Each part's runner prints its own closing lines. */
final class Test
{
    private const PARTS = ['core', 'app', 'browser'];

    public function run(Options $options): int
    {
        $wanted = $options->words === [] ? self::PARTS : $options->words;
        foreach ($wanted as $part) {
            if (! in_array($part, self::PARTS, true)) {
                throw new Problem("There is no part \"{$part}\"; there are core, app and browser.");
            }
        }
        Setup::complete(withBrowser: in_array('browser', $wanted, true));
        $failed = [];
        foreach ($this->steps($wanted) as $name => [$command, $folder]) {
            Console::step($name);
            if (Shell::show($command, Setup::root().$folder, ['XDEBUG_MODE' => 'off']) !== 0) {
                $failed[] = $name;
            }
        }
        Console::say($failed === [] ? 'All of it holds.' : 'Failed: '.implode(', ', $failed).'.');

        return $failed === [] ? 0 : 1;
    }

    /**
     * @param  list<string>  $parts
     * @return array<string, array{list<string>, string}> a command, and the folder to run it in
     */
    private function steps(array $parts): array
    {
        $steps = [];
        if (in_array('core', $parts, true)) {
            $steps['Static checks of the core (phpstan)'] = [['vendor/bin/phpstan', 'analyse', '--no-progress', '--memory-limit=1G', '-c', 'core/phpstan.neon'], ''];
            $steps['Tests of the core'] = [['../vendor/bin/phpunit'], '/core'];
        }
        if (in_array('app', $parts, true)) {
            $steps['Style (pint)'] = [['vendor/bin/pint', '--test', '-q'], ''];
            $steps['Static checks of the application (phpstan)'] = [['vendor/bin/phpstan', 'analyse', '--no-progress', '--memory-limit=1G', '-c', 'phpstan.neon'], ''];
            $steps['Types of the scripts (tsc)'] = [['node_modules/.bin/tsc', '--noEmit'], ''];
            $steps['Building the scripts\' tests'] = [['node_modules/.bin/vite', 'build', '--config', 'tests/ts/vite.config.ts', '--logLevel', 'warn'], ''];
            $steps['Tests of the scripts'] = [['node', '--test', 'storage/setup/ts-tests'], ''];
            $steps['Tests of the application'] = [['vendor/bin/phpunit', '--testsuite', 'app'], ''];
        }
        if (in_array('browser', $parts, true)) {
            $steps['Tests in the browser'] = [['vendor/bin/phpunit', '--testsuite', 'browser'], ''];
        }

        return $steps;
    }
}
