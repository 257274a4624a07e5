<?php

declare(strict_types=1);

namespace Deploy\Shared;

use Deploy\Folder;
use Deploy\Install\Setup;
use Deploy\Instance;
use Deploy\Port;
use Deploy\Problem;

/**
 * Several nodes on this machine behind a front, with a PostgreSQL, a Redis and a folder of data that they share: the
 * shape of an installation on several machines.
 */
final class District
{
    private readonly Postgres $postgres;

    private readonly Redis $redis;

    private ?Front $front = null;

    /** @var list<Instance> */
    private array $nodes = [];

    private function __construct(private readonly string $folder)
    {
        $this->postgres = new Postgres();
        $this->redis = new Redis();
    }

    public static function start(int $nodes): self
    {
        $district = new self(Setup::root().'/storage/run/district-'.getmypid());
        try {
            $district->postgres->start()->make('crag');
            $district->redis->start();
            putenv("CRAG_DATABASE_URL={$district->postgres->url()}");
            putenv("CRAG_REDIS_URL={$district->redis->url()}");
            // The front is believed who it says that somebody is.
            putenv('CRAG_PROXIES=127.0.0.1');
            $ports = [];
            for ($n = 0; $n < $nodes; $n++) {
                $ports[] = $port = Port::free();
                $run = "{$district->folder}/{$n}";
                $district->nodes[] = $node = Instance::in($run, "{$district->folder}/data", $port, true);
                $node->start();
            }
            $district->front = (new Front($ports))->start();

            return $district;
        } catch (Problem $problem) {
            $district->stop();
            throw $problem;
        }
    }

    public function address(): string
    {
        return $this->front?->url() ?? throw new Problem('There is no front.');
    }

    public function node(int $n): Instance
    {
        return $this->nodes[$n];
    }

    /** @return list<Instance> */
    public function nodes(): array
    {
        return $this->nodes;
    }

    public function postgres(): Postgres
    {
        return $this->postgres;
    }

    public function redis(): Redis
    {
        return $this->redis;
    }

    public function front(): Front
    {
        return $this->front ?? throw new Problem('There is no front.');
    }

    public function stop(): void
    {
        $this->front?->stop();
        array_map(static fn (Instance $node) => $node->stop(), $this->nodes);
        $this->redis->stop();
        $this->postgres->stop();
        array_map(putenv(...), ['CRAG_DATABASE_URL', 'CRAG_REDIS_URL', 'CRAG_PROXIES']);
        Folder::remove($this->folder);
    }
}
