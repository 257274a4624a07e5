<?php

declare(strict_types=1);

namespace Deploy;

use Deploy\Install\Setup;

/** Puts right what the style checks of `./crag test` can put right by themselves, and says what is left. */
final class Fix
{
    public function run(Options $options): int
    {
        Setup::complete();
        $left = [];
        foreach (Test::style(fix: true) as $name => $command) {
            Console::step($name);
            if (Shell::show($command, Setup::root(), ['XDEBUG_MODE' => 'off']) !== 0) {
                $left[] = $name;
            }
        }
        Console::say(
            $left === [] ? 'Nothing is left to put right.' : 'Left to do by hand: '.implode(', ', $left).'.',
        );

        return $left === [] ? 0 : 1;
    }
}
