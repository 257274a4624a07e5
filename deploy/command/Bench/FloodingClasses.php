<?php

declare(strict_types=1);

namespace Deploy\Bench;

use Deploy\Console;
use Deploy\DemoClass;
use Deploy\Instance;
use Deploy\Port;
use Deploy\Problem;
use Deploy\SimulatedClass;
use PDO;

/** Sessions full of simulated students who finish strokes by the clock, each with a desk: demo/flood.ts. */
final readonly class FloodingClasses
{
    private const IN_A_CLASS = 30;

    /**
     * @param  float  $rate  strokes that each student finishes a second
     * @param  'socket'|'http'  $way  how they are sent
     * @param  bool  $isWet  whether the pens move all the time, each stroke taking a second, and the desks watch
     */
    public function __construct(
        private int $students,
        private int $seconds,
        private float $rate,
        private string $way,
        private bool $isWet,
        private ?int $classes = null,
    ) {
    }

    /** @return array<string, mixed> what was found; quantiles are of milliseconds, CPU is in seconds, memory in MB */
    public function measure(): array
    {
        $class = DemoClass::start('127.0.0.1', Port::free(), 'bench');
        $report = tempnam(sys_get_temp_dir(), 'crag-bench') ?: throw new Problem('No temporary file can be made.');
        $process = null;
        try {
            $classes = $this->classes ?? (int) max(1, ceil($this->students / self::IN_A_CLASS));
            $sessions = [$class->addresses];
            while (count($sessions) < $classes) {
                $sessions[] = DemoClass::seed($class->instance->environment());
            }
            $process = new SimulatedClass(
                'flood',
                $class->instance->address(),
                (string) json_encode(
                    array_map(
                        static fn (array $one): array => array_intersect_key($one, ['code' => 1, 'desk' => 1]),
                        $sessions,
                    ),
                    JSON_UNESCAPED_SLASHES,
                ),
                (string) $this->students,
                (string) $this->seconds,
                (string) $this->rate,
                $this->way,
                $this->isWet ? 'wet' : 'dry',
                $report,
            );
            $process->hear('joined', 60 + $this->students);
            Console::step("{$this->students} simulated students in {$classes} sessions are in ({$this->way})");
            $before = $this->cpu($class);
            $steal = self::steal();
            $process->say('go');
            $process->hear('done', $this->seconds + 120);
            $cpu = array_map(
                static fn (float $now, float $then): float => round($now - $then, 2),
                $this->cpu($class),
                $before,
            );
            $stolen = self::steal() - $steal;
            /**
             * @var array{
             *     ids: list<string>, saved: list<float>, desk: list<float>, wet: list<float>, wetSent: int, posts: int,
             *     joins: list<float>, unheard: int,
             * } $found
             */
            $found = (array) json_decode((string) file_get_contents($report), true, flags: JSON_THROW_ON_ERROR);

            return [
                'students' => $this->students,
                'classes' => $classes,
                'way' => $this->way,
                ...StoredStrokes::count(new PDO("sqlite:{$class->instance->data}/crag.sqlite"), $found['ids']),
                'over_http' => $found['posts'],
                'saved_ms' => Quantiles::of($found['saved'], 50, 95, 99),
                'cpu_s' => array_combine(Instance::parts(), $cpu),
                'cpu_ms_per_stroke' => round((array_sum($cpu) * 1000) / max(1, count($found['ids'])), 2),
                'relay_ms' => Quantiles::of($found['desk'], 50, 95),
                'unheard' => $found['unheard'],
                'wet_ms' => Quantiles::of($found['wet'], 50, 95),
                'wet_lost' => $found['wetSent'] - count($found['wet']),
                'join_ms' => Quantiles::of($found['joins'], 50, 95),
                'rss_mb' => array_combine(
                    Instance::parts(),
                    array_map(
                        static fn (string $part): float => Usage::memory($class->instance->child($part)->pid()),
                        Instance::parts(),
                    ),
                ),
                'steal_percent' => round((100 * $stolen) / max(1, $this->seconds), 1),
            ];
        } finally {
            $process?->end();
            $class->instance->stop();
            $class->instance->removeAll();
            @unlink($report);
        }
    }

    /** @return list<float> seconds */
    private function cpu(DemoClass $class): array
    {
        return array_map(
            static fn (string $part): float => Usage::cpu($class->instance->child($part)->pid()),
            Instance::parts(),
        );
    }

    /** Seconds of all cores that other machines had on this one's host. */
    private static function steal(): float
    {
        $fields = preg_split('/\s+/', (string) strtok((string) file_get_contents('/proc/stat'), "\n")) ?: [];

        return (int) ($fields[8] ?? 0) / 100;
    }
}
