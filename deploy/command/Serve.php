<?php

declare(strict_types=1);

namespace Deploy;

use Deploy\Install\Setup;

/** The application without demo data, in the foreground. */
final class Serve
{
    public function run(Options $options): int
    {
        $port = $options->whole('port', 8000, 1, 65535);
        Setup::complete();
        $instance = Instance::lasting($options->text('host', '0.0.0.0'), $port);
        $instance->start();
        Console::say(
            "Crag answers at {$instance->address()} (on every address of this machine unless --host says otherwise).",
        );
        Console::say("Data: {$instance->data}. Logs: {$instance->run}. Ctrl-C stops it.");
        Console::say(
            getenv('MAIL_MAILER') === 'smtp'
                ? 'Mails go to '.
                    (getenv('MAIL_HOST') ?: '127.0.0.1').
                    "; what it does not take is written to {$instance->data}/mails.log."
                : "Mails (for forgotten passwords) are written to {$instance->data}/mails.log: set MAIL_MAILER=smtp to send them.",
        );
        $instance->superviseUntilAsked();

        return 0;
    }
}
