<?php

declare(strict_types=1);

namespace Deploy;

use Deploy\Install\Setup;

/**
 * A few tests in the browser that failed beside everything else are tried once more, alone. One that passes then was
 * in the machine's way, or has a race that is worth finding: it is named, so that nobody overlooks it.
 */
final class SecondTry
{
    /** More than these that fail are no accident. */
    private const MOST = 6;

    /**
     * Those that did not pass: what failed, and what was never begun because its class could not be.
     *
     * @param  string  $listed  what `phpunit --list-tests` prints
     * @param  string  $junit  what the first try left, in JUnit's form
     * @return list<string> Class::test; none where they are too many, or where nothing was left
     */
    public static function of(string $listed, string $junit): array
    {
        preg_match_all('/^ - ([\w\\\\]+::\w+)/m', $listed, $found);
        $report = $junit === '' ? false : simplexml_load_string($junit);
        $passed = [];
        foreach ($report === false ? [] : (array) $report->xpath('//testcase[not(error) and not(failure)]') as $test) {
            $passed[] = $test['class'].'::'.preg_replace('/ with data set .*/', '', (string) $test['name']);
        }
        foreach ($report === false ? [] : (array) $report->xpath('//testcase[error or failure]') as $test) {
            $name = $test['class'].'::'.preg_replace('/ with data set .*/', '', (string) $test['name']);
            $passed = array_diff($passed, [$name]);
        }
        $failed = array_values(array_diff(array_unique($found[1]), $passed));

        return $report === false || count($failed) > self::MOST ? [] : $failed;
    }

    /** Whether those of the suites that did not pass do so now; false where they are too many to be an accident. */
    public static function passes(string $suites, string $junit): bool
    {
        $list = ['vendor/bin/phpunit', '--testsuite', $suites, '--list-tests'];
        $tests = self::of(Shell::output($list, Setup::root()), (string) @file_get_contents($junit));
        if ($tests === []) {
            return false;
        }
        Console::step('Once more, alone: '.implode(', ', $tests));
        $names = implode('|', array_map(static fn (string $test): string => preg_quote($test, '/').'( |$)', $tests));
        $command = ['vendor/bin/phpunit', '--testsuite', $suites, '--filter', "/{$names}/"];
        if (Shell::show($command, Setup::root(), ['XDEBUG_MODE' => 'off']) !== 0) {
            return false;
        }
        Console::say('Passed only the second time, and has a race to be found: '.implode(', ', $tests).'.');

        return true;
    }
}
