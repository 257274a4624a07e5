<?php

declare(strict_types=1);

namespace Deploy\Bench;

use SplMinHeap;

/** Servers side by side, first come first served: nodes' cores, a database's, Redis' one thread. */
final class Station
{
    /** @var SplMinHeap<float> when each server is free again, in milliseconds */
    private readonly SplMinHeap $free;

    private float $busyMs = 0;

    /** @param  int  $servers  at least one */
    public function __construct(private readonly int $servers)
    {
        $this->free = new SplMinHeap();
        for ($n = 0; $n < $servers; $n++) {
            $this->free->insert(0.0);
        }
    }

    /**
     * @param  float  $atMs  when it comes; not before what came last
     * @return float when it is done
     */
    public function take(float $atMs, float $serviceMs): float
    {
        $begins = max($atMs, $this->free->extract());
        $this->free->insert($begins + $serviceMs);
        $this->busyMs += $serviceMs;

        return $begins + $serviceMs;
    }

    /** The share of its time that was used, of so long. */
    public function use(float $ofMs): float
    {
        return $this->busyMs / ($ofMs * $this->servers);
    }
}
