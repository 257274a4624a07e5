<?php

declare(strict_types=1);

namespace App\Console;

use Illuminate\Console\Command;

/** Makes an instance ready to serve: tables, and the settings and routes in a form that loads fast. */
final class Prepare extends Command
{
    protected $signature = 'crag:prepare';

    protected $description = 'Migrate the database and cache configuration and routes';

    public function handle(): int
    {
        $this->callSilent('migrate', ['--force' => true]);
        $this->callSilent('config:cache');
        $this->callSilent('route:cache');

        return self::SUCCESS;
    }
}
