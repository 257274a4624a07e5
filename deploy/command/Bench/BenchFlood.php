<?php

declare(strict_types=1);

namespace Deploy\Bench;

/**
 * Strokes by the clock from many students, without wet ink and without a browser: how long storing takes over the
 * open socket and over HTTP, and what a stroke costs.
 */
final readonly class BenchFlood
{
    /** @param  'socket'|'http'|'both'  $way */
    public function __construct(private int $students, private int $seconds, private float $rate, private string $way)
    {
    }

    /** @return array<string, mixed> */
    public function measure(): array
    {
        if ($this->way !== 'both') {
            return $this->once($this->way);
        }
        $socket = $this->once('socket');
        $http = $this->once('http');

        return [
            'socket' => $socket,
            'http' => $http,
            'ratio_cpu' => round($http['cpu_ms_per_stroke'] / max(0.01, $socket['cpu_ms_per_stroke']), 1),
        ];
    }

    /**
     * @param  'socket'|'http'  $way
     * @return array<string, mixed>
     */
    private function once(string $way): array
    {
        $found = (new FloodingClasses($this->students, $this->seconds, $this->rate, $way, false))->measure();

        return array_diff_key($found, array_flip(['wet_ms', 'wet_lost']));
    }
}
