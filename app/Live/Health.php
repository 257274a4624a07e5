<?php

declare(strict_types=1);

namespace App\Live;

use App\Database\Engine;
use App\Database\Turn;
use App\Sessions\Life\LookAfter;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Redis;
use PDOException;
use Throwable;

/**
 * How the parts of this installation are: what is wrong is said in a sentence, for the administrator and for the desk.
 */
final readonly class Health
{
    /** Below this nothing more can be stored for sure. */
    private const FULL_BYTES = 16 * 1024 * 1024;

    /** Below this somebody should make room. */
    private const LOW_BYTES = 500 * 1024 * 1024;

    /** A writer's turn takes milliseconds. */
    private const LOCKED_MS = 1500;

    /** The queue's worker makes a round every 20 s, but not while it draws a record. */
    private const QUIET_MS = 15 * 60 * 1000;

    public function __construct(private Publisher $publisher)
    {
    }

    /** @return array<'database'|'disk'|'queue'|'keeper'|'live'|'redis', string> "ok", or what is wrong */
    public function parts(): array
    {
        return [
            'database' => self::database(),
            'disk' => self::disk(),
            'queue' => self::queue(),
            'keeper' => $this->hasKeeper()
                ? 'ok'
                : __('The keeper isn’t running. Work is still saved, but more slowly.'),
            'live' => $this->publisher->isThere() ? 'ok' : __('Live updates aren’t working: nginx isn’t answering.'),
        ] + (config('crag.node') === '' ? [] : ['redis' => self::redis()]);
    }

    /** Of several nodes, whichever has the first share: nginx knows a channel in Redis only once something was sent. */
    private function hasKeeper(): bool
    {
        return config('crag.node') === ''
            ? $this->publisher->listeners('keep.0') > 0
            : (bool) rescue(static fn (): mixed => Redis::connection()->command('exists', ['keep.0.lease']), false, false);
    }

    /** Whether strokes are stored; null, or why not. */
    public static function trouble(): ?string
    {
        if (file_exists(config()->string('crag.run').'/leaving')) {
            return __('This server is stopping. Others go on.');
        }
        $wrong = array_filter(
            [self::full(), self::database()],
            static fn (?string $said): bool => $said !== null && $said !== 'ok',
        );

        return array_values($wrong)[0] ?? null;
    }

    /** For the desk, which is told without the database being asked to write. */
    public static function full(): ?string
    {
        $free = @disk_free_space(config()->string('crag.data'));

        return $free !== false && $free < self::FULL_BYTES
            ? __(
                'The server’s disk is full. Students can keep drawing: their work waits on their devices until there’s room.',
            )
            : null;
    }

    /** What a fault of the database means for whoever waits for an answer; null where it is another fault. */
    public static function said(Throwable $fault): ?string
    {
        return $fault instanceof PDOException ? Engine::here()->said($fault) : null;
    }

    private static function database(): string
    {
        $begun = false;
        try {
            Engine::here()->waitAtMost(self::LOCKED_MS);
            // Whoever else writes for long is no reason to send anybody away.
            Turn::during(['up '.config()->string('crag.node')], DB::beginTransaction(...));
            $begun = true;
            // Written and taken back: reading alone says nothing of a disk that is full.
            DB::table('invitations')->insert(['token_hash' => 'health', 'expires_at' => '2000-01-01']);

            return 'ok';
        } catch (Throwable $fault) {
            return self::said($fault) ?? __('The database isn’t working.');
        } finally {
            if ($begun) {
                rescue(static fn () => DB::rollBack(), report: false);
            }
            rescue(static fn () => Engine::here()->waitAsUsual(), report: false);
        }
    }

    private static function redis(): string
    {
        return rescue(static fn (): mixed => Redis::connection()->command('ping'), false, report: false) !== false
            ? 'ok'
            : __('Redis can’t be reached. Work is still saved, but pages aren’t told of each other.');
    }

    private static function disk(): string
    {
        $free = @disk_free_space(config()->string('crag.data'));

        return self::full() ??
            ($free !== false && $free < self::LOW_BYTES
                ? __('Only :n MB of disk space left.', ['n' => intdiv((int) $free, 1024 * 1024)])
                : 'ok');
    }

    private static function queue(): string
    {
        $quiet = Clock::ms() - LookAfter::last(Clock::ms())->lastMs;

        return $quiet > self::QUIET_MS
            ? __('The queue hasn’t run for :n minutes.', ['n' => intdiv($quiet, 60_000)])
            : 'ok';
    }
}
