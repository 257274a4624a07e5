<?php

declare(strict_types=1);

namespace App\Live\Keeper;

use Closure;
use Illuminate\Redis\Connections\Connection;

/**
 * Of several nodes: each has a keeper for each part, one of which holds the part's lease in Redis. It renews it while
 * it lives; another takes it over once it has run out. Parts go round the nodes that are there, and who holds one that
 * belongs elsewhere by now gives it back between two rounds. Should two work on a part for a moment, as when one stood
 * still, the log keeps them apart: what was appended once is known by its id (AppendOperations).
 */
final class LeasedShare implements Share
{
    /** How long a lease holds after it was renewed, and how long a keeper counts as there. */
    private const LASTS_MS = 3_000;

    private const RENEWED_MS = 500;

    /** Redis' own clock: nodes need not agree on the time. */
    private const SCRIPT = <<<'LUA'
        local time = redis.call('TIME')
        local now = time[1] * 1000 + math.floor(time[2] / 1000)
        local node, part, lasts = ARGV[1], tonumber(ARGV[2]), tonumber(ARGV[3])
        redis.call('ZADD', KEYS[1], now, node)
        redis.call('ZREMRANGEBYSCORE', KEYS[1], '-inf', now - lasts)
        redis.call('PEXPIRE', KEYS[1], lasts)
        local there = redis.call('ZRANGE', KEYS[1], 0, -1)
        table.sort(there)
        local holder = redis.call('GET', KEYS[2])
        if there[part % #there + 1] ~= node then
            if holder == node then
                redis.call('DEL', KEYS[2])
            end
            return 0
        end
        if holder and holder ~= node then
            return 0
        end
        redis.call('SET', KEYS[2], node, 'PX', lasts)
        return 1
        LUA;

    private const GIVE_BACK = <<<'LUA'
        redis.call('ZREM', KEYS[1], ARGV[1])
        if redis.call('GET', KEYS[2]) == ARGV[1] then
            redis.call('DEL', KEYS[2])
        end
        LUA;

    private float $askedMs = -self::RENEWED_MS;

    private bool $isMine = false;

    /** @param  Closure(): Connection  $redis  asked each time: it may be away for a while */
    public function __construct(
        private readonly Closure $redis,
        private readonly string $node,
        private readonly int $part,
    ) {
    }

    /** Without Redis it is nobody's: pages post meanwhile. */
    public function isMine(): bool
    {
        $now = hrtime(true) / 1e6;
        if ($now - $this->askedMs >= self::RENEWED_MS) {
            $this->isMine = rescue(
                fn (): bool => $this->run(self::SCRIPT, (string) $this->part, (string) self::LASTS_MS) === 1,
                false,
                report: false,
            );
            $this->askedMs = $now;
        }

        return $this->isMine;
    }

    public function readTo(): string
    {
        $read = rescue(fn (): mixed => ($this->redis)()->command('get', [$this->name('read')]), report: false);

        return is_string($read) ? $read : '';
    }

    public function hasRead(string $message): void
    {
        rescue(fn (): mixed => ($this->redis)()->command('set', [$this->name('read'), $message]), report: false);
    }

    public function giveBack(): void
    {
        $this->isMine = false;
        $this->askedMs = -self::RENEWED_MS;
        rescue(fn (): mixed => $this->run(self::GIVE_BACK), report: false);
    }

    private function run(string $script, string ...$more): mixed
    {
        $keys = [$this->name('there'), $this->name('lease')];

        return ($this->redis)()->command('eval', [$script, [...$keys, $this->node, ...$more], count($keys)]);
    }

    private function name(string $what): string
    {
        return "keep.{$this->part}.{$what}";
    }
}
