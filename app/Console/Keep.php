<?php

declare(strict_types=1);

namespace App\Console;

use App\Database\Engine;
use App\Database\ImmediatePdo;
use App\Live\Clock;
use App\Live\Keeper\Delivery;
use App\Live\Keeper\Inbox;
use App\Live\Keeper\Keep as KeepWork;
use App\Live\Keeper\LeasedShare;
use App\Live\Keeper\OwnShare;
use App\Live\Keeper\Share;
use App\Live\Keeper\TellStates;
use App\Live\StoringTimes;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Redis;

/**
 * The keeper: stays started and stores what pages send over their sockets. It begins anew by itself now and then; what
 * comes meanwhile waits in nginx.
 */
final class Keep extends Command
{
    /** How long to wait for messages before looking whether to end. */
    private const PATIENCE_MS = 500;

    /** While many draw, what comes within this goes into one transaction. */
    private const GATHER_MS = 20;

    /** It waits for more only while so much comes. */
    private const BUSY_MS = 60;

    /** However many draw, desks are told now and then. */
    private const STATES_AFTER_MS = 250;

    private const MOST_MEMORY = 96 * 1024 * 1024;

    private const LONGEST_S = 6 * 3600;

    /** So long is a writer's turn waited for; then pages are told to post, and wait there. */
    private const LOCKED_MS = 1500;

    protected $signature = 'crag:keep {--part=0 : which share of the sessions}';

    protected $description = 'Store what pages send over their sockets';

    private bool $isAsked = false;

    public function handle(KeepWork $keep, TellStates $tellStates): int
    {
        $this->trap([SIGTERM, SIGINT, SIGHUP], function (): void {
            $this->isAsked = true;
        });
        DB::connection()->disableQueryLog();
        $pdo = DB::connection()->getPdo();
        Engine::here()->waitAtMost(self::LOCKED_MS);
        if ($pdo instanceof ImmediatePdo) {
            $pdo->keepStatements();
        }
        $part = (int) $this->option('part');
        $share = self::share($part);
        $inbox = new Inbox(config()->string('crag.publish_socket'), $part, $share);
        $began = hrtime(true);
        $last = 0;
        $isMoreDue = false;
        $statesAt = 0;
        while (
            ! $this->isAsked &&
            memory_get_usage() < self::MOST_MEMORY &&
            hrtime(true) - $began < self::LONGEST_S * 1e9
        ) {
            if (! $share->isMine()) {
                // Another node's keeper has it.
                $inbox->close();
                usleep(self::PATIENCE_MS * 1000);

                continue;
            }
            // One keeper tells desks what they look at; strokes come first.
            $messages = $inbox->wait($isMoreDue ? 0 : self::PATIENCE_MS);
            if ($messages === [] || hrtime(true) - $statesAt > self::STATES_AFTER_MS * 1e6) {
                $isMoreDue = $part === 0 && rescue(static fn (): bool => $tellStates(Clock::ms()), false);
                $statesAt = hrtime(true);
            }
            if ($messages === []) {
                continue;
            }
            $from = hrtime(true);
            if ($from - $last < self::BUSY_MS * 1e6) {
                usleep(self::GATHER_MS * 1000);
                $messages = [...$messages, ...$inbox->wait(0)];
            }
            $last = hrtime(true);
            $deliveries = array_values(array_filter(array_map(Delivery::read(...), $messages)));
            // Whatever breaks here breaks these alone: their pages post them.
            $taken = rescue(static fn (): int => $keep($deliveries), 0);
            StoringTimes::note($taken, (hrtime(true) - $from) / 1e9);
        }
        $inbox->close();
        $share->giveBack();

        return self::SUCCESS;
    }

    private static function share(int $part): Share
    {
        $node = config()->string('crag.node');

        return $node === ''
            ? new OwnShare(config()->string('crag.run')."/keep-{$part}.read")
            : new LeasedShare(static fn () => Redis::connection(), $node, $part);
    }
}
