<?php

declare(strict_types=1);

namespace App\Console;

use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;

/**
 * The queue's worker. What one that was killed had in hand is taken up again at once where there is one worker; where
 * several nodes have one each, after as long as the longest job may take.
 */
final class Work extends Command
{
    /** So often is a job begun anew after its worker was killed under it; then it is given up. */
    private const TRIES = 3;

    protected $signature = 'crag:work {--stop-when-empty}';

    protected $description = 'Work the queue, beginning with what a killed worker left';

    public function handle(): int
    {
        if (config('queue.default') === 'database') {
            DB::table('jobs')
                ->whereNotNull('reserved_at')
                ->update(['reserved_at' => null]);
        }

        return $this->call('queue:work', [
            '--sleep' => 1,
            '--tries' => self::TRIES,
            '--timeout' => 600,
            '--max-time' => 3600,
            '--stop-when-empty' => $this->option('stop-when-empty'),
        ]);
    }
}
