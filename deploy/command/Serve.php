<?php

declare(strict_types=1);

namespace Deploy;

/** The application without demo data, in the foreground. */
final class Serve
{
    public function run(Options $options): int
    {
        $port = $options->whole('port', 8000, 1, 65535);
        Setup::complete();
        $instance = Instance::lasting($options->text('host', '0.0.0.0'), $port);
        $instance->start();
        Console::say("Crag answers at {$instance->address()} (on every address of this machine unless --host says otherwise).");
        Console::say("Data: {$instance->data}. Logs: {$instance->run}. Ctrl-C stops it.");
        $instance->superviseUntilAsked();

        return 0;
    }
}
