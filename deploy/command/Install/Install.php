<?php

declare(strict_types=1);

namespace Deploy\Install;

use Deploy\Console;
use Deploy\Options;

/** Installs what is missing and builds the pages, and starts nothing. */
final class Install
{
    public function run(Options $options): int
    {
        Setup::complete();
        Console::say('Everything that Crag needs is here. ./crag serve starts it, without a network from now on.');

        return 0;
    }
}
