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
    private const MOST = 3;

    /**
     * @param  string  $junit  what the first try left, in JUnit's form
     * @return list<string> Class::test, of those that failed; none where they are too many, or nothing was left
     */
    public static function of(string $junit): array
    {
        $report = is_file($junit) ? simplexml_load_file($junit) : false;
        $failed = [];
        foreach ($report === false ? [] : (array) $report->xpath('//testcase[error or failure]') as $test) {
            $failed[] = "{$test['class']}::{$test['name']}";
        }

        return count($failed) > self::MOST ? [] : $failed;
    }

    /** @param  list<string>  $tests  Class::test; at least one */
    public static function passes(array $tests, string $suites): bool
    {
        Console::step('Once more, alone: '.implode(', ', $tests));
        $names = implode('|', array_map(static fn (string $test): string => preg_quote($test, '/').'$', $tests));
        $command = ['vendor/bin/phpunit', '--testsuite', $suites, '--filter', "/{$names}/"];
        if (Shell::show($command, Setup::root(), ['XDEBUG_MODE' => 'off']) !== 0) {
            return false;
        }
        Console::say('Passed only the second time, and has a race to be found: '.implode(', ', $tests).'.');

        return true;
    }
}
