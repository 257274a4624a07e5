<?php

declare(strict_types=1);

namespace Deploy;

use Deploy\Install\Setup;

/** A link with which one teacher may make an account, where CRAG_TEACHERS=invitation. */
final class Invite
{
    public function run(Options $options): int
    {
        $days = $options->whole('days', 7, 1, 60);
        $instance = Instance::lasting('127.0.0.1', $options->whole('port', 8000, 1, 65535));
        if (Setting::database() === '' && ! is_file("{$instance->data}/crag.sqlite")) {
            throw new Problem('There is no data yet: start ./crag serve once.');
        }
        Console::say(
            trim(
                Shell::output(
                    [
                        PHP_BINARY,
                        'artisan',
                        'crag:invite',
                        "--days={$days}",
                        ...$options->has('administrator') ? ['--administrator'] : [],
                    ],
                    Setup::root(),
                    $instance->environment(),
                ),
            ),
        );
        Console::say("It works once, within {$days} days.");

        return 0;
    }
}
