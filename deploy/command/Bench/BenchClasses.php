<?php

declare(strict_types=1);

namespace Deploy\Bench;

/** Several classes at once, each with pens that move all the time and a desk that watches. */
final readonly class BenchClasses
{
    public function __construct(private int $classes, private int $students, private int $seconds)
    {
    }

    /** @return array<string, mixed> */
    public function measure(): array
    {
        $all = $this->classes * $this->students;
        $found = (new FloodingClasses($all, $this->seconds, 1, 'socket', true, $this->classes))->measure();

        return [
            'classes' => $this->classes,
            'students' => $found['students'],
            'saved_ms' => $found['saved_ms'],
            'wet_ms' => $found['wet_ms'],
            'desk_ms' => $found['relay_ms'],
            'lost' => $found['missing'] + $found['unheard'],
            'wet_lost' => $found['wet_lost'],
            'twice' => $found['twice'],
            'over_http' => $found['over_http'],
            'cpu_s' => $found['cpu_s'],
            'rss_mb' => $found['rss_mb'],
            'steal_percent' => $found['steal_percent'],
        ];
    }
}
